import { Body, Controller, Param } from '@nestjs/common';
import {
  ClubPath,
  DrillSetBody,
  DrillSetReply,
  FaultCountReply,
  NewRepPath,
  NewSetPath,
  RepBody,
  RepReply,
  SetEndBody,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { DrillsService } from './drills.service.js';
import { FaultCountsService } from './fault-counts.service.js';

@Controller()
export class DrillsController {
  constructor(
    private readonly drills: DrillsService,
    private readonly faults: FaultCountsService,
  ) {}

  @Serves(ROUTES.faultsLately, { gives: FaultCountReply, each: true })
  faultsLately(@Param() { clubId }: ClubPath): Promise<FaultCountReply[]> {
    return this.faults.lately(clubId);
  }

  @Serves(ROUTES.recordSet, { takes: DrillSetBody, gives: DrillSetReply })
  recordSet(
    @Param() { clubId, setId }: NewSetPath,
    @Body() body: DrillSetBody,
  ): Promise<DrillSetReply> {
    return this.drills.recordSet(clubId, setId, body);
  }

  @Serves(ROUTES.endSet, { takes: SetEndBody, gives: DrillSetReply })
  endSet(@Param() { clubId, setId }: NewSetPath, @Body() body: SetEndBody): Promise<DrillSetReply> {
    return this.drills.endSet(clubId, setId, body);
  }

  @Serves(ROUTES.recordRep, { takes: RepBody, gives: RepReply })
  recordRep(
    @Param() { clubId, setId, repId }: NewRepPath,
    @Body() body: RepBody,
  ): Promise<RepReply> {
    return this.drills.recordRep(clubId, setId, repId, body);
  }
}
