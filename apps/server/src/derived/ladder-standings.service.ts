import { EntityManager, LockMode } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { Athlete } from '../domains/athletes/athlete.entity.js';
import type { PatternVersion } from '../domains/patterns/pattern-version.entity.js';
import { DecisionsService } from './decisions.service.js';
import { LadderStanding } from './ladder-standing.entity.js';

/** An athlete and the pattern, as it is now, whose ladder they climb. */
export interface Climber {
  readonly athleteId: string;
  readonly newest: PatternVersion;
}

type Row = Pick<LadderStanding, 'athleteId' | 'rung' | 'decision' | 'held'>;

interface KeptRow {
  readonly athlete_id: string;
  readonly pattern_id: string;
  readonly pattern_version: number;
  readonly rung: number;
  readonly decision: LadderStanding['decision'];
  readonly held: LadderStanding['held'];
}

/** Where athletes stand on ladders, kept. */
@Injectable()
export class LadderStandingsService {
  constructor(
    private readonly em: EntityManager,
    private readonly decisions: DecisionsService,
  ) {}

  /** By athlete; those kept, the others worked out and kept. Patterns without rungs have none. */
  async of(clubId: string, climbers: readonly Climber[]): Promise<ReadonlyMap<string, Row>> {
    const kept = await this.em.execute<KeptRow[]>(
      `select athlete_id, pattern_id, pattern_version, rung, decision, held
       from ladder_standing where club_id = ? and athlete_id = any (?::uuid[])`,
      [clubId, `{${climbers.map(({ athleteId }) => athleteId).join(',')}}`],
    );
    const wanted = new Map(climbers.map((climber) => [climber.athleteId, climber]));
    const standings = new Map<string, Row>();
    for (const { athlete_id, pattern_id, pattern_version, ...row } of kept) {
      const newest = wanted.get(athlete_id)?.newest;
      if (newest?.patternId === pattern_id && newest.version === pattern_version)
        standings.set(athlete_id, { ...row, athleteId: athlete_id });
    }
    const missing = climbers.filter(({ athleteId }) => !standings.has(athleteId));
    for (const row of await this.workOut(clubId, missing)) standings.set(row.athleteId, row);
    return standings;
  }

  private async workOut(clubId: string, all: readonly Climber[]): Promise<LadderStanding[]> {
    const climbers = all.filter(({ newest }) => newest.body.rungs.length > 0);
    if (climbers.length === 0) return [];
    return this.em.transactional(async (em) => {
      // Whoever adds a rep or moves an athlete holds the athlete: what is kept is never older.
      await em.find(
        Athlete,
        { clubId, id: { $in: climbers.map(({ athleteId }) => athleteId) } },
        { lockMode: LockMode.PESSIMISTIC_WRITE, orderBy: { id: 'asc' } },
      );
      const standings = await this.decisions.standings(
        clubId,
        climbers.map(({ athleteId, newest }) => ({
          ...{ athleteId, newest, patternId: newest.patternId },
        })),
      );
      const rows = climbers.flatMap(({ athleteId, newest: { patternId, version } }, i) => {
        const standing = standings[i];
        if (!standing) return [];
        const { rung, decision, held } = standing;
        return [{ clubId, athleteId, patternId, patternVersion: version, rung, decision, held }];
      });
      await em.upsertMany(LadderStanding, rows);
      return rows;
    });
  }
}
