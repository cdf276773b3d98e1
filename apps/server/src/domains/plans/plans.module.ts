import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { PlansController } from './plans.controller.js';
import { PlansService } from './plans.service.js';

@Module({
  imports: [AthletesModule],
  controllers: [PlansController],
  providers: [PlansService],
})
export class PlansModule {}
