import { Module } from '@nestjs/common';
import { ClubsController } from './clubs.controller.js';
import { ClubsService } from './clubs.service.js';

@Module({ controllers: [ClubsController], providers: [ClubsService], exports: [ClubsService] })
export class ClubsModule {}
