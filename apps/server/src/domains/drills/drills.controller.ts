import { Body, Controller, Param, Put } from '@nestjs/common';
import {
  DrillSetBody,
  DrillSetReply,
  NewRepPath,
  NewSetPath,
  RepBody,
  RepReply,
  SetEndBody,
} from '@orthokin/contract';
import { Gives, Takes } from '../../platform/http/openapi.js';
import { DrillsService } from './drills.service.js';

@Controller('clubs/:clubId/sets/:setId')
export class DrillsController {
  constructor(private readonly drills: DrillsService) {}

  @Put()
  @Takes(DrillSetBody)
  @Gives(DrillSetReply)
  recordSet(
    @Param() { clubId, setId }: NewSetPath,
    @Body() body: DrillSetBody,
  ): Promise<DrillSetReply> {
    return this.drills.recordSet(clubId, setId, body);
  }

  @Put('end')
  @Takes(SetEndBody)
  @Gives(DrillSetReply)
  endSet(@Param() { clubId, setId }: NewSetPath, @Body() body: SetEndBody): Promise<DrillSetReply> {
    return this.drills.endSet(clubId, setId, body);
  }

  @Put('reps/:repId')
  @Takes(RepBody)
  @Gives(RepReply)
  recordRep(
    @Param() { clubId, setId, repId }: NewRepPath,
    @Body() body: RepBody,
  ): Promise<RepReply> {
    return this.drills.recordRep(clubId, setId, repId, body);
  }
}
