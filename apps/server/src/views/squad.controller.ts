import { Controller, Param, Query } from '@nestjs/common';
import {
  AthletePath,
  ClubPath,
  DrillSetupQuery,
  DrillSetupReply,
  SquadLineReply,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { scopeNow, withinClub } from '../platform/auth/scope.js';
import { Serves } from '../platform/http/serves.js';
import { SquadLinesService } from '../derived/squad-lines.service.js';
import { DrillSetupService } from './drill-setup.service.js';

@Controller()
export class SquadController {
  constructor(
    private readonly lines: SquadLinesService,
    private readonly setups: DrillSetupService,
  ) {}

  @Serves(ROUTES.squad, { gives: SquadLineReply, each: true, shared: true })
  async all(@Param() { clubId }: ClubPath): Promise<SquadLineReply[]> {
    const { athleteIds } = scopeNow();
    if (athleteIds === null) return this.lines.of(clubId);
    // Claims are corrected for the whole squad (Holm), so one athlete's line is worked out with everybody's: athlete
    // and coach read the same.
    const all = await withinClub(clubId, () => this.lines.of(clubId));
    return all.filter(({ athlete }) => athleteIds.includes(athlete.id));
  }

  @Serves(ROUTES.drillSetup, { asks: DrillSetupQuery, gives: DrillSetupReply })
  drillSetup(
    @Param() { clubId, athleteId }: AthletePath,
    @Query() { patternId }: DrillSetupQuery,
  ): Promise<DrillSetupReply> {
    return this.setups.of(clubId, athleteId, patternId);
  }
}
