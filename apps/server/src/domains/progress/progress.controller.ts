import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import {
  LadderBody,
  MoveEvidenceReply,
  NewLadderPath,
  NewMovePath,
  OwnLadderBody,
  RungMoveBody,
  RungMoveReply,
} from '@orthokin/contract';
import { Gives, Takes } from '../../platform/http/openapi.js';
import { LaddersService } from './ladders.service.js';
import { ProgressService } from './progress.service.js';

@Controller('clubs/:clubId')
export class ProgressController {
  constructor(
    private readonly progress: ProgressService,
    private readonly ladders: LaddersService,
  ) {}

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
