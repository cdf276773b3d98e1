import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { PatternsModule } from '../patterns/patterns.module.js';
import { DrillsController } from './drills.controller.js';
import { DrillsService } from './drills.service.js';
import { NewestSetsService } from './newest-sets.service.js';

@Module({
  imports: [AthletesModule, PatternsModule],
  controllers: [DrillsController],
  providers: [DrillsService, NewestSetsService],
  exports: [DrillsService, NewestSetsService],
})
export class DrillsModule {}
