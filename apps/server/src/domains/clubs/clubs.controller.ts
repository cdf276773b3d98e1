import { Body, Controller, Param } from '@nestjs/common';
import { ClubBody, ClubReply, NewClubPath } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { ClubsService } from './clubs.service.js';

@Controller()
export class ClubsController {
  constructor(private readonly clubs: ClubsService) {}

  @Serves(ROUTES.clubs, { gives: ClubReply, each: true })
  list(): Promise<ClubReply[]> {
    return this.clubs.all();
  }

  @Serves(ROUTES.saveClub, { takes: ClubBody, gives: ClubReply })
  save(@Param() { clubId }: NewClubPath, @Body() body: ClubBody): Promise<ClubReply> {
    return this.clubs.save(clubId, body);
  }
}
