import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { CareController } from './care.controller.js';
import { CareService } from './care.service.js';

@Module({
  imports: [AthletesModule],
  controllers: [CareController],
  providers: [CareService],
  exports: [CareService],
})
export class CareModule {}
