import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import {
  AthleteLadderReply,
  AthletePatternPath,
  LadderBody,
  LadderReply,
  MoveEvidenceReply,
  NewLadderPath,
  NewMovePath,
  OwnLadderBody,
  PatternPath,
  RungMoveBody,
  RungMoveReply,
} from '@orthokin/contract';
import { Gives, Takes } from '../http/openapi.js';
import { LadderViewService } from './ladder-view.service.js';
import { LaddersService } from './ladders.service.js';
import { ProgressService } from './progress.service.js';

@Controller('clubs/:clubId')
export class ProgressController {
  constructor(
    private readonly progress: ProgressService,
    private readonly ladders: LaddersService,
    private readonly views: LadderViewService,
  ) {}

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

  @Put('ladders/:ladderId')
  @Takes(LadderBody)
  @Gives(LadderBody)
  saveSettings(
    @Param() { clubId, ladderId }: NewLadderPath,
    @Body() body: LadderBody,
  ): Promise<LadderBody> {
    return this.ladders.saveSettings(clubId, ladderId, body);
  }

  @Put('own-ladders/:ladderId')
  @Takes(OwnLadderBody)
  @Gives(OwnLadderBody)
  saveOwnLimits(
    @Param() { clubId, ladderId }: NewLadderPath,
    @Body() body: OwnLadderBody,
  ): Promise<OwnLadderBody> {
    return this.ladders.saveOwnLimits(clubId, ladderId, body);
  }

  @Get('moves/:moveId')
  @Gives(MoveEvidenceReply)
  moveWithEvidence(@Param() { clubId, moveId }: NewMovePath): Promise<MoveEvidenceReply> {
    return this.progress.withEvidence(clubId, moveId);
  }

  @Put('moves/:moveId')
  @Takes(RungMoveBody)
  @Gives(RungMoveReply)
  move(
    @Param() { clubId, moveId }: NewMovePath,
    @Body() body: RungMoveBody,
  ): Promise<RungMoveReply> {
    return this.progress.move(clubId, moveId, body);
  }
}
