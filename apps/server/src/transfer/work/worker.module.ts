import { MikroOrmModule } from '@mikro-orm/nestjs';
import { PostgreSqlDriver } from '@mikro-orm/postgresql';
import { Module, type DynamicModule } from '@nestjs/common';
import { DerivedModule } from '../../derived/derived.module.js';
import { AthletesModule } from '../../domains/athletes/athletes.module.js';
import { DomainsModule } from '../../domains/domains.module.js';
import { DrillsModule } from '../../domains/drills/drills.module.js';
import { PatternsModule } from '../../domains/patterns/patterns.module.js';
import { ormOptions } from '../../platform/database/orm-options.js';
import { TABLES } from '../../tables.js';
import { StoringService } from './storing.service.js';
import { TablesService } from '../tables.service.js';

/** A thread runs one task at a time, so few connections suffice. */
const CONNECTIONS = 2;

/** The services of a worker thread: domains, tables and imports, without HTTP. */
@Module({})
export class WorkerModule {
  static with({ databaseUrl }: { readonly databaseUrl: string }): DynamicModule {
    return {
      module: WorkerModule,
      imports: [
        MikroOrmModule.forRoot({
          ...ormOptions(databaseUrl, TABLES),
          driver: PostgreSqlDriver,
          pool: { min: 0, max: CONNECTIONS },
          allowGlobalContext: true,
        }),
        DomainsModule,
        DerivedModule,
        ...[AthletesModule, DrillsModule, PatternsModule],
      ],
      providers: [TablesService, StoringService],
    };
  }
}
