import { Controller, Get, Param, Query } from '@nestjs/common';
import {
  AthletePath,
  ClubPath,
  DrillSetupQuery,
  DrillSetupReply,
  SquadLineReply,
} from '@orthokin/contract';
import { Gives } from '../platform/http/openapi.js';
import { SquadLinesService } from '../derived/squad-lines.service.js';
import { DrillSetupService } from './drill-setup.service.js';

@Controller('clubs/:clubId')
export class SquadController {
  constructor(
    private readonly lines: SquadLinesService,
    private readonly setups: DrillSetupService,
  ) {}

  @Get('squad')
  @Gives(SquadLineReply, { each: true })
  all(@Param() { clubId }: ClubPath): Promise<SquadLineReply[]> {
    return this.lines.of(clubId);
  }

  @Get('athletes/:athleteId/drill-setup')
  @Gives(DrillSetupReply)
  drillSetup(
    @Param() { clubId, athleteId }: AthletePath,
    @Query() { patternId }: DrillSetupQuery,
  ): Promise<DrillSetupReply> {
    return this.setups.of(clubId, athleteId, patternId);
  }
}
