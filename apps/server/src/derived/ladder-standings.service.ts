import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { PatternsService, versionKey } from '../domains/patterns/patterns.service.js';
import { DecisionsService } from './decisions.service.js';
import { keepWorkedOut } from './keep-worked-out.js';
import { LadderStanding } from './ladder-standing.entity.js';

/** An athlete and the newest version of the pattern whose ladder they climb. */
export interface Climber {
  readonly athleteId: string;
  readonly patternId: string;
  readonly version: number;
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

/** Places and decisions of athletes on ladders, cached. */
@Injectable()
export class LadderStandingsService {
  constructor(
    private readonly em: EntityManager,
    private readonly patterns: PatternsService,
    private readonly decisions: DecisionsService,
  ) {}

  /** By athlete id: cached ones, others worked out and cached. A pattern without rungs gives none. */
  async of(clubId: string, climbers: readonly Climber[]): Promise<ReadonlyMap<string, Row>> {
    const standings = await this.kept(clubId, climbers);
    const missing = climbers.filter(({ athleteId }) => !standings.has(athleteId));
    for (const row of await this.workOut(clubId, missing)) standings.set(row.athleteId, row);
    return standings;
  }

  private async kept(clubId: string, climbers: readonly Climber[]): Promise<Map<string, Row>> {
    const kept = await this.em.execute<KeptRow[]>(
      `select athlete_id, pattern_id, pattern_version, rung, decision, held
       from ladder_standing where club_id = ? and athlete_id = any (?::uuid[])`,
      [clubId, `{${climbers.map(({ athleteId }) => athleteId).join(',')}}`],
    );
    const wanted = new Map(climbers.map((climber) => [climber.athleteId, climber]));
    const standings = new Map<string, Row>();
    for (const { athlete_id, pattern_id, pattern_version, ...row } of kept) {
      const climber = wanted.get(athlete_id);
      if (climber?.patternId === pattern_id && climber.version === pattern_version)
        standings.set(athlete_id, { ...row, athleteId: athlete_id });
    }
    return standings;
  }

  private async workOut(clubId: string, all: readonly Climber[]): Promise<readonly Row[]> {
    const versions = await this.patterns.versions(clubId, all);
    const climbers = all.flatMap(({ athleteId, patternId, version }) => {
      const newest = versions.get(versionKey({ patternId, version }));
      return newest && newest.body.rungs.length > 0 ? [{ athleteId, patternId, newest }] : [];
    });
    if (climbers.length === 0) return [];
    const of = new Map(climbers.map((climber) => [climber.athleteId, climber]));
    return keepWorkedOut(this.em, clubId, [...of.keys()], {
      entity: LadderStanding,
      athleteOf: ({ athleteId }) => athleteId,
      workOut: async (ids) => {
        const climbs = ids.flatMap((id) => of.get(id) ?? []);
        const standings = await this.decisions.standings(clubId, climbs);
        return climbs.flatMap(({ athleteId, patternId, newest: { version } }, i) => {
          const standing = standings[i];
          if (!standing) return [];
          const { rung, decision, held } = standing;
          return [{ clubId, athleteId, patternId, patternVersion: version, rung, decision, held }];
        });
      },
    });
  }
}
