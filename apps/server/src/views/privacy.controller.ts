import { Body, Controller, Param } from '@nestjs/common';
import {
  AthletePath,
  ClubPath,
  KeepingBody,
  PrivacyReply,
  TrailEntryReply,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { AthletesService } from '../domains/athletes/athletes.service.js';
import { TrailService } from '../domains/privacy/trail.service.js';
import { Serves } from '../platform/http/serves.js';
import { PrivacyService } from './privacy.service.js';

@Controller()
export class PrivacyController {
  constructor(
    private readonly privacy: PrivacyService,
    private readonly trail: TrailService,
    private readonly athletes: AthletesService,
  ) {}

  @Serves(ROUTES.privacy, { gives: PrivacyReply })
  of(@Param() { clubId }: ClubPath): Promise<PrivacyReply> {
    return this.privacy.of(clubId);
  }

  @Serves(ROUTES.saveKeeping, { takes: KeepingBody, gives: PrivacyReply })
  keepFor(
    @Param() { clubId }: ClubPath,
    @Body() { keepYears }: KeepingBody,
  ): Promise<PrivacyReply> {
    return this.privacy.keepFor(clubId, keepYears);
  }

  @Serves(ROUTES.trail, { gives: TrailEntryReply, each: true })
  async trailOf(@Param() { clubId, athleteId }: AthletePath): Promise<TrailEntryReply[]> {
    await this.athletes.one(clubId, athleteId);
    return this.trail.of(clubId, athleteId);
  }
}
