import { Controller, Param } from '@nestjs/common';
import {
  AthleteLadderReply,
  AthletePatternPath,
  LadderReply,
  PatternPath,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../platform/http/serves.js';
import { LadderViewService } from './ladder.service.js';

@Controller()
export class LadderController {
  constructor(private readonly views: LadderViewService) {}

  @Serves(ROUTES.ladder, { gives: LadderReply, shared: true })
  everyone(@Param() { clubId, patternId }: PatternPath): Promise<LadderReply> {
    return this.views.ofEveryone(clubId, patternId);
  }

  @Serves(ROUTES.athleteLadder, { gives: AthleteLadderReply, shared: true })
  athlete(
    @Param() { clubId, patternId, athleteId }: AthletePatternPath,
  ): Promise<AthleteLadderReply> {
    return this.views.ofAthlete(clubId, patternId, athleteId);
  }
}
