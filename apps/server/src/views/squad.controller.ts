import { Controller, Param, Query } from '@nestjs/common';
import {
  AthletePath,
  ClubPath,
  DrillSetupQuery,
  DrillSetupReply,
  SquadLineReply,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../platform/http/serves.js';
import { SquadLinesService } from '../derived/squad-lines.service.js';
import { DrillSetupService } from './drill-setup.service.js';

@Controller()
export class SquadController {
  constructor(
    private readonly lines: SquadLinesService,
    private readonly setups: DrillSetupService,
  ) {}

  @Serves(ROUTES.squad, { gives: SquadLineReply, each: true })
  all(@Param() { clubId }: ClubPath): Promise<SquadLineReply[]> {
    return this.lines.of(clubId);
  }

  @Serves(ROUTES.drillSetup, { gives: DrillSetupReply })
  drillSetup(
    @Param() { clubId, athleteId }: AthletePath,
    @Query() { patternId }: DrillSetupQuery,
  ): Promise<DrillSetupReply> {
    return this.setups.of(clubId, athleteId, patternId);
  }
}
