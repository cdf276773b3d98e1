import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { PatternsModule } from '../patterns/patterns.module.js';
import { ProgressModule } from '../progress/progress.module.js';
import { SquadController } from './squad.controller.js';
import { SquadService } from './squad.service.js';

@Module({
  imports: [AthletesModule, PatternsModule, ProgressModule],
  controllers: [SquadController],
  providers: [SquadService],
})
export class SquadModule {}
