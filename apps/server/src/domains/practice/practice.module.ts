import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { PracticeController } from './practice.controller.js';
import { PracticeService } from './practice.service.js';

@Module({
  imports: [AthletesModule],
  controllers: [PracticeController],
  providers: [PracticeService],
})
export class PracticeModule {}
