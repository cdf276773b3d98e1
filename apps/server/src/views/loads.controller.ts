import { Controller, Param, Query } from '@nestjs/common';
import { AthleteLoadReply, ClubPath, LoadQuery } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../platform/http/serves.js';
import { LoadsService } from './loads.service.js';

@Controller()
export class LoadsController {
  constructor(private readonly loads: LoadsService) {}

  @Serves(ROUTES.loads, { asks: LoadQuery, gives: AthleteLoadReply, each: true })
  all(@Param() { clubId }: ClubPath, @Query() { day }: LoadQuery): Promise<AthleteLoadReply[]> {
    return this.loads.of(clubId, day);
  }
}
