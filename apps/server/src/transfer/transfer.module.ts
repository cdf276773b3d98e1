import { EntityManager } from '@mikro-orm/postgresql';
import { Module, type DynamicModule } from '@nestjs/common';
import { AthletesModule } from '../domains/athletes/athletes.module.js';
import { DrillsModule } from '../domains/drills/drills.module.js';
import { PatternsModule } from '../domains/patterns/patterns.module.js';
import { DATABASE_URL } from '../platform/database/database-url.js';
import { Jobs } from '../platform/jobs/jobs.js';
import { ErasingService } from './erasing.service.js';
import { FilesService } from './files.service.js';
import { ImportsService } from './imports.service.js';
import { PersonFileService } from './person-file.service.js';
import { TakingOutService } from './taking-out.service.js';
import { TablesService } from './tables.service.js';
import { TransferController } from './transfer.controller.js';

@Module({})
export class TransferModule {
  static on(databaseUrl: string, readyThreads: number): DynamicModule {
    return {
      module: TransferModule,
      imports: [AthletesModule, DrillsModule, PatternsModule],
      controllers: [TransferController],
      providers: [
        { provide: DATABASE_URL, useValue: databaseUrl },
        Jobs,
        {
          provide: FilesService,
          inject: [EntityManager],
          useFactory: (em: EntityManager) => new FilesService(em, databaseUrl, readyThreads),
        },
        ...[ImportsService, TablesService, TakingOutService, ErasingService, PersonFileService],
      ],
    };
  }
}
