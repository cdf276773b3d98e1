import { Injectable } from '@nestjs/common';
import type { AthleteCareReply } from '@orthokin/contract';
import type { Athlete } from '../domains/athletes/athlete.entity.js';
import { CareService } from '../domains/care/care.service.js';
import { FaultCountsService } from '../domains/drills/fault-counts.service.js';
import { NewestSetsService } from '../domains/drills/newest-sets.service.js';

/** Everything to be mindful of in an athlete, for one page. */
@Injectable()
export class AthleteCareService {
  constructor(
    private readonly care: CareService,
    private readonly newest: NewestSetsService,
    private readonly faults: FaultCountsService,
  ) {}

  async of(clubId: string, { id, bornOn, emergency }: Athlete): Promise<AthleteCareReply> {
    const [said, lastDay, faultsLately] = await Promise.all([
      this.care.ofAthlete(clubId, id),
      this.newest.lastDay(clubId, id),
      this.faults.lately(clubId, id),
    ]);
    return { said, bornOn, emergency, lastDay, faultsLately };
  }
}
