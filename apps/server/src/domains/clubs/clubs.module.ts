import { Module } from '@nestjs/common';
import { ClubsController } from './clubs.controller.js';

@Module({ controllers: [ClubsController] })
export class ClubsModule {}
