import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { LadderBody, OwnLadderBody } from '@orthokin/contract';
import {
  checkLadder,
  USUAL_LADDER,
  type LadderSettings,
  type OwnLimits,
} from '@orthokin/core/progress';
import { wrong } from '@orthokin/core/result';
import { AthletesService } from '../athletes/athletes.service.js';
import { LadderStanding } from '../drills/ladder-standing.entity.js';
import { accepted } from '../http/refusals.js';
import { PatternsService } from '../patterns/patterns.service.js';
import { insertOnce } from '../storage/insert-once.js';
import { Ladder } from './ladder.entity.js';
import { OwnLadder } from './own-ladder.entity.js';

/** Rows saved in one instant keep the order of their ids, which hold time. */
const NEWEST = { orderBy: [{ savedAt: 'desc' as const }, { id: 'desc' as const }], limit: 1 };

/** How ladders are climbed: rules and limits as coaches saved them. */
@Injectable()
export class LaddersService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
  ) {}

  async settings(clubId: string, patternId: string): Promise<LadderSettings> {
    const [newest] = await this.em.find(Ladder, { clubId, patternId }, NEWEST);
    return newest?.settings ?? USUAL_LADDER;
  }

  /** Limits of an athlete's own on the rungs of a pattern. */
  async ownLimits(clubId: string, athleteId: string, patternId: string): Promise<OwnLimits[]> {
    const [newest] = await this.em.find(OwnLadder, { clubId, athleteId, patternId }, NEWEST);
    return newest?.limits ?? [];
  }

  async saveSettings(clubId: string, id: string, body: LadderBody): Promise<LadderBody> {
    const { patternId, settings, savedAt } = body;
    const { body: pattern } = await this.patterns.newest(clubId, patternId);
    accepted(checkLadder(settings, pattern.rungs.length));
    await this.em.transactional(async (em) => {
      const row = { clubId, id, patternId, settings, savedAt: new Date(savedAt) };
      await insertOnce(em, Ladder, row);
      await em.nativeDelete(LadderStanding, { clubId, patternId });
    });
    return body;
  }

  async saveOwnLimits(clubId: string, id: string, body: OwnLadderBody): Promise<OwnLadderBody> {
    const { athleteId, patternId, limits, savedAt } = body;
    await this.athletes.one(clubId, athleteId);
    const { body: pattern } = await this.patterns.newest(clubId, patternId);
    for (const [i, { rung }] of limits.entries())
      if (rung > pattern.rungs.length)
        accepted(wrong(`limits[${i}].rung`, rung, `1 to ${pattern.rungs.length}`));
    await this.em.transactional(async (em) => {
      const row = { clubId, id, athleteId, patternId, savedAt: new Date(savedAt), limits };
      await insertOnce(em, OwnLadder, row as OwnLadder);
      await em.nativeDelete(LadderStanding, { clubId, athleteId, patternId });
    });
    return body;
  }
}
