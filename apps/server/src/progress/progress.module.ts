import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { DrillsModule } from '../drills/drills.module.js';
import { PatternsModule } from '../patterns/patterns.module.js';
import { DecisionsService } from './decisions.service.js';
import { LadderViewService } from './ladder-view.service.js';
import { LaddersService } from './ladders.service.js';
import { PlacesService } from './places.service.js';
import { ProgressController } from './progress.controller.js';
import { ProgressService } from './progress.service.js';

@Module({
  imports: [AthletesModule, DrillsModule, PatternsModule],
  controllers: [ProgressController],
  providers: [DecisionsService, LadderViewService, LaddersService, PlacesService, ProgressService],
  exports: [DecisionsService, LaddersService, PlacesService],
})
export class ProgressModule {}
