import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { DrillsModule } from '../drills/drills.module.js';
import { PatternsModule } from '../patterns/patterns.module.js';
import { ProgressModule } from '../progress/progress.module.js';
import { ReviewController } from './review.controller.js';
import { ReviewService } from './review.service.js';

@Module({
  imports: [AthletesModule, DrillsModule, PatternsModule, ProgressModule],
  controllers: [ReviewController],
  providers: [ReviewService],
})
export class ReviewModule {}
