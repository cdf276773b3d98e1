import { Controller, Param } from '@nestjs/common';
import { AthleteCareReply, AthletePath } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { AthletesService } from '../domains/athletes/athletes.service.js';
import { Serves } from '../platform/http/serves.js';
import { AthleteCareService } from './athlete-care.service.js';

@Controller()
export class AthleteCareController {
  constructor(
    private readonly athletes: AthletesService,
    private readonly care: AthleteCareService,
  ) {}

  @Serves(ROUTES.athleteCare, { gives: AthleteCareReply })
  async of(@Param() { clubId, athleteId }: AthletePath): Promise<AthleteCareReply> {
    return this.care.of(clubId, await this.athletes.one(clubId, athleteId));
  }
}
