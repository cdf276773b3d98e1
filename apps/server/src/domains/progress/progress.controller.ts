import { Body, Controller, Param } from '@nestjs/common';
import {
  LadderBody,
  MoveEvidenceReply,
  NewLadderPath,
  NewMovePath,
  OwnLadderBody,
  RungMoveBody,
  RungMoveReply,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { LaddersService } from './ladders.service.js';
import { ProgressService } from './progress.service.js';

@Controller()
export class ProgressController {
  constructor(
    private readonly progress: ProgressService,
    private readonly ladders: LaddersService,
  ) {}

  @Serves(ROUTES.saveLadder, { takes: LadderBody, gives: LadderBody })
  saveSettings(
    @Param() { clubId, ladderId }: NewLadderPath,
    @Body() body: LadderBody,
  ): Promise<LadderBody> {
    return this.ladders.saveSettings(clubId, ladderId, body);
  }

  @Serves(ROUTES.saveOwnLimits, { takes: OwnLadderBody, gives: OwnLadderBody })
  saveOwnLimits(
    @Param() { clubId, ladderId }: NewLadderPath,
    @Body() body: OwnLadderBody,
  ): Promise<OwnLadderBody> {
    return this.ladders.saveOwnLimits(clubId, ladderId, body);
  }

  @Serves(ROUTES.moveEvidence, { gives: MoveEvidenceReply })
  moveWithEvidence(@Param() { clubId, moveId }: NewMovePath): Promise<MoveEvidenceReply> {
    return this.progress.withEvidence(clubId, moveId);
  }

  @Serves(ROUTES.move, { takes: RungMoveBody, gives: RungMoveReply })
  move(
    @Param() { clubId, moveId }: NewMovePath,
    @Body() body: RungMoveBody,
  ): Promise<RungMoveReply> {
    return this.progress.move(clubId, moveId, body);
  }
}
