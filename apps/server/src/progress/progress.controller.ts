import { Body, Controller, Param, Put } from '@nestjs/common';
import { NewMovePath, RungMoveBody, RungMoveReply } from '@orthokin/contract';
import { Gives, Takes } from '../http/openapi.js';
import { ProgressService } from './progress.service.js';

@Controller('clubs/:clubId/moves')
export class ProgressController {
  constructor(private readonly progress: ProgressService) {}

  @Put(':moveId')
  @Takes(RungMoveBody)
  @Gives(RungMoveReply)
  move(
    @Param() { clubId, moveId }: NewMovePath,
    @Body() body: RungMoveBody,
  ): Promise<RungMoveReply> {
    return this.progress.move(clubId, moveId, body);
  }
}
