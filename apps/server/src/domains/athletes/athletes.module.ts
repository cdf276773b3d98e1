import { Module } from '@nestjs/common';
import { AthletesService } from './athletes.service.js';

@Module({ providers: [AthletesService], exports: [AthletesService] })
export class AthletesModule {}
