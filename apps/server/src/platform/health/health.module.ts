import { Module } from '@nestjs/common';
import { TerminusModule } from '@nestjs/terminus';
import { UnderWay } from '../http/under-way.js';
import { HealthController } from './health.controller.js';

@Module({
  imports: [TerminusModule],
  controllers: [HealthController],
  providers: [UnderWay],
  exports: [UnderWay],
})
export class HealthModule {}
