import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { PatternsModule } from '../patterns/patterns.module.js';
import { DrillsController } from './drills.controller.js';
import { DrillsService } from './drills.service.js';
import { FaultCountsService } from './fault-counts.service.js';
import { NewestSetsService } from './newest-sets.service.js';
import { WholeSetsService } from './whole-sets.service.js';

const SERVICES = [DrillsService, FaultCountsService, NewestSetsService, WholeSetsService];

@Module({
  imports: [AthletesModule, PatternsModule],
  controllers: [DrillsController],
  providers: SERVICES,
  exports: SERVICES,
})
export class DrillsModule {}
