import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { PatternsModule } from '../patterns/patterns.module.js';
import { DrillsController } from './drills.controller.js';
import { DrillsService } from './drills.service.js';

@Module({
  imports: [AthletesModule, PatternsModule],
  controllers: [DrillsController],
  providers: [DrillsService],
  exports: [DrillsService],
})
export class DrillsModule {}
