import { Controller, Get, Param, Query } from '@nestjs/common';
import {
  AthletePath,
  ClubPath,
  DrillSetupQuery,
  DrillSetupReply,
  SquadLineReply,
} from '@orthokin/contract';
import { Gives } from '../http/openapi.js';
import { SquadService } from './squad.service.js';

@Controller('clubs/:clubId')
export class SquadController {
  constructor(private readonly squad: SquadService) {}

  @Get('squad')
  @Gives(SquadLineReply, { each: true })
  all(@Param() { clubId }: ClubPath): Promise<SquadLineReply[]> {
    return this.squad.squad(clubId);
  }

  @Get('athletes/:athleteId/drill-setup')
  @Gives(DrillSetupReply)
  drillSetup(
    @Param() { clubId, athleteId }: AthletePath,
    @Query() { patternId }: DrillSetupQuery,
  ): Promise<DrillSetupReply> {
    return this.squad.drillSetup(clubId, athleteId, patternId);
  }
}
