import { Module } from '@nestjs/common';
import { AthletesModule } from '../domains/athletes/athletes.module.js';
import { DrillsModule } from '../domains/drills/drills.module.js';
import { PatternsModule } from '../domains/patterns/patterns.module.js';
import { ClubFileService } from './club-file.service.js';
import { TransferController } from './transfer.controller.js';
import { ImportsService } from './imports.service.js';
import { TablesService } from './tables.service.js';

@Module({
  imports: [AthletesModule, DrillsModule, PatternsModule],
  controllers: [TransferController],
  providers: [ClubFileService, ImportsService, TablesService],
})
export class TransferModule {}
