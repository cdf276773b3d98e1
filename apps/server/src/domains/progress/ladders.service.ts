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
import { refuseAhead } from '../ahead.js';
import { AthletesService } from '../athletes/athletes.service.js';
import { accepted } from '../../platform/http/refusals.js';
import { PatternsService } from '../patterns/patterns.service.js';
import { insertOnce } from '../../platform/storage/insert-once.js';
import { Changes } from '../changes.js';
import { Ladder } from './ladder.entity.js';
import { OwnLadder } from './own-ladder.entity.js';

/** Settings of ladders: rules, and limits per rung. */
@Injectable()
export class LaddersService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly changes: Changes,
  ) {}

  async settings(clubId: string, patternId: string): Promise<LadderSettings> {
    const [newest] = await this.em.execute<{ settings: LadderSettings }[]>(
      `select settings from ladder where club_id = ? and pattern_id = ? order by seq desc limit 1`,
      [clubId, patternId],
    );
    return newest?.settings ?? USUAL_LADDER;
  }

  /** The newest settings of every ladder of a club, by pattern id. */
  async allSettings(clubId: string): Promise<ReadonlyMap<string, LadderSettings>> {
    const rows = await this.em.execute<{ pattern_id: string; settings: LadderSettings }[]>(
      `select distinct on (pattern_id) pattern_id, settings from ladder
       where club_id = ? order by pattern_id, seq desc`,
      [clubId],
    );
    return new Map(rows.map(({ pattern_id, settings }) => [pattern_id, settings]));
  }

  /** Athletes' own limits, under the key "athleteId patternId". */
  async allOwnLimits(
    clubId: string,
    athleteIds: readonly string[],
  ): Promise<ReadonlyMap<string, OwnLimits[]>> {
    const rows = await this.em.execute<
      { athlete_id: string; pattern_id: string; limits: OwnLimits[] }[]
    >(
      `select distinct on (athlete_id, pattern_id) athlete_id, pattern_id, limits from own_ladder
       where club_id = ? and athlete_id = any (?::uuid[])
       order by athlete_id, pattern_id, seq desc`,
      [clubId, `{${athleteIds.join(',')}}`],
    );
    return new Map(
      rows.map(({ athlete_id, pattern_id, limits }) => [`${athlete_id} ${pattern_id}`, limits]),
    );
  }

  /** An athlete's own limits on a pattern's rungs. */
  async ownLimits(clubId: string, athleteId: string, patternId: string): Promise<OwnLimits[]> {
    const [newest] = await this.em.execute<{ limits: OwnLimits[] }[]>(
      `select limits from own_ladder where club_id = ? and athlete_id = ? and pattern_id = ?
       order by seq desc limit 1`,
      [clubId, athleteId, patternId],
    );
    return newest?.limits ?? [];
  }

  async saveSettings(clubId: string, id: string, body: LadderBody): Promise<LadderBody> {
    const { patternId, settings, savedAt } = body;
    refuseAhead('savedAt', savedAt);
    const { body: pattern } = await this.patterns.newest(clubId, patternId);
    accepted(checkLadder(settings, pattern.rungs.length));
    await this.em.transactional(async (em) => {
      const row = { clubId, id, patternId, settings, savedAt: new Date(savedAt) };
      await insertOnce(em, Ladder, row);
      await this.changes.tell(em, { of: 'ladder', clubId, patternId });
    });
    return body;
  }

  async saveOwnLimits(clubId: string, id: string, body: OwnLadderBody): Promise<OwnLadderBody> {
    const { athleteId, patternId, limits, savedAt } = body;
    refuseAhead('savedAt', savedAt);
    await this.athletes.one(clubId, athleteId);
    const { body: pattern } = await this.patterns.newest(clubId, patternId);
    for (const [i, { rung }] of limits.entries())
      if (rung > pattern.rungs.length)
        accepted(wrong(`limits[${i}].rung`, rung, `1 to ${pattern.rungs.length}`));
    await this.em.transactional(async (em) => {
      const row = { clubId, id, athleteId, patternId, savedAt: new Date(savedAt), limits };
      await insertOnce(em, OwnLadder, row as OwnLadder);
      await this.changes.tell(em, { of: 'own limits', clubId, athleteId, patternId });
    });
    return body;
  }
}
