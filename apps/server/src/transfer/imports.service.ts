import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { ImportBody, ImportReply } from '@orthokin/contract';
import { DrillsService } from '../domains/drills/drills.service.js';

/** Sets timed elsewhere, through the same door as those timed here. */
@Injectable()
export class ImportsService {
  constructor(
    private readonly em: EntityManager,
    private readonly drills: DrillsService,
  ) {}

  /** Stores all of the sets or none. Sent again it changes nothing. */
  async store(clubId: string, { sets }: ImportBody): Promise<ImportReply> {
    await this.em.transactional(async () => {
      for (const { id, body, endedAt, reps } of sets) {
        await this.drills.recordSet(clubId, id, body);
        for (const rep of reps) await this.drills.recordRep(clubId, id, rep.id, rep.body);
        await this.drills.endSet(clubId, id, { endedAt, reason: 'completed' });
      }
    });
    return { sets: sets.length, reps: sets.reduce((sum, { reps }) => sum + reps.length, 0) };
  }
}
