import { Module } from '@nestjs/common';
import { DrillsModule } from '../drills/drills.module.js';
import { PatternsModule } from '../patterns/patterns.module.js';
import { ProgressController } from './progress.controller.js';
import { ProgressService } from './progress.service.js';

@Module({
  imports: [DrillsModule, PatternsModule],
  controllers: [ProgressController],
  providers: [ProgressService],
  exports: [ProgressService],
})
export class ProgressModule {}
