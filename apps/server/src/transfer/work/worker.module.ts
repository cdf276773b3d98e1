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
import { TablesService } from '../tables.service.js';

/** Enough for a thread that does one thing after another. */
const CONNECTIONS = 2;

/** What a thread for long work is made of: the domains and the tables, no HTTP. */
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
      providers: [TablesService],
    };
  }
}
