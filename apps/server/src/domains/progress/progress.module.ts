import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { DrillsModule } from '../drills/drills.module.js';
import { PatternsModule } from '../patterns/patterns.module.js';
import { LaddersService } from './ladders.service.js';
import { PlacesService } from './places.service.js';
import { ProgressController } from './progress.controller.js';
import { ProgressService } from './progress.service.js';

@Module({
  imports: [AthletesModule, DrillsModule, PatternsModule],
  controllers: [ProgressController],
  providers: [LaddersService, PlacesService, ProgressService],
  exports: [LaddersService, PlacesService],
})
export class ProgressModule {}
