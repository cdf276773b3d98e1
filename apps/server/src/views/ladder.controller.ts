import { Controller, Get, Param } from '@nestjs/common';
import {
  AthleteLadderReply,
  AthletePatternPath,
  LadderReply,
  PatternPath,
} from '@orthokin/contract';
import { Gives } from '../platform/http/openapi.js';
import { LadderViewService } from './ladder.service.js';

@Controller('clubs/:clubId')
export class LadderController {
  constructor(private readonly views: LadderViewService) {}

  @Get('patterns/:patternId/ladder')
  @Gives(LadderReply)
  everyone(@Param() { clubId, patternId }: PatternPath): Promise<LadderReply> {
    return this.views.ofEveryone(clubId, patternId);
  }

  @Get('patterns/:patternId/ladder/:athleteId')
  @Gives(AthleteLadderReply)
  athlete(
    @Param() { clubId, patternId, athleteId }: AthletePatternPath,
  ): Promise<AthleteLadderReply> {
    return this.views.ofAthlete(clubId, patternId, athleteId);
  }
}
