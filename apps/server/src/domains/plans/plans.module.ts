import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { PlansController } from './plans.controller.js';
import { PlansService } from './plans.service.js';
import { ProgrammesController } from './programmes.controller.js';
import { ProgrammesService } from './programmes.service.js';

@Module({
  imports: [AthletesModule],
  controllers: [PlansController, ProgrammesController],
  providers: [PlansService, ProgrammesService],
})
export class PlansModule {}
