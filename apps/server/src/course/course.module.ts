import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { DrillsModule } from '../drills/drills.module.js';
import { PatternsModule } from '../patterns/patterns.module.js';
import { ProgressModule } from '../progress/progress.module.js';
import { CourseController } from './course.controller.js';
import { CourseService } from './course.service.js';
import { StandingsService } from './standings.service.js';

@Module({
  imports: [AthletesModule, DrillsModule, PatternsModule, ProgressModule],
  controllers: [CourseController],
  providers: [CourseService, StandingsService],
  exports: [CourseService],
})
export class CourseModule {}
