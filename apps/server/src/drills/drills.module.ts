import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { PatternsModule } from '../patterns/patterns.module.js';
import { DrillsController } from './drills.controller.js';
import { DrillsService } from './drills.service.js';
import { FiguresService } from './figures.service.js';

@Module({
  imports: [AthletesModule, PatternsModule],
  controllers: [DrillsController],
  providers: [DrillsService, FiguresService],
  exports: [DrillsService, FiguresService],
})
export class DrillsModule {}
