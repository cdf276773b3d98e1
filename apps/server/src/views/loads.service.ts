import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { AthleteLoadReply, WeekLoadReply } from '@orthokin/contract';
import {
  addMovements,
  movementsOfRep,
  NO_MOVEMENTS,
  type MovementCounts,
} from '@orthokin/core/pattern';
import { WEEKS_BEFORE } from '@orthokin/core/plan';
import { PatternsService, versionKey } from '../domains/patterns/patterns.service.js';

interface Since {
  readonly athlete_id: string;
  /** Monday of the first session with a session effort; `null` if there is none. */
  readonly effort: string | null;
  /** Monday of the first timed set; `null` if there is none. */
  readonly sets: string | null;
}

interface OfSessions {
  readonly athlete_id: string;
  readonly monday: string;
  readonly minutes: number;
  readonly effort: number;
}

interface OfReps {
  readonly athlete_id: string;
  readonly monday: string;
  readonly pattern_id: string;
  readonly version: number;
  readonly target: string;
  readonly reps: number;
}

const MONDAY = (day: string): string => `date_trunc('week', ${day})::date`;

/** SQL for what somebody did on a day, in a session or at home: minutes and effort. */
const DONE = `
  select t.club_id, t.athlete_id, h.day, t.minutes, t.effort
  from attendance t join held_session h on h.club_id = t.club_id and h.id = t.session_id
  union all
  select club_id, athlete_id, day, minutes, effort from home_practice where not removed`;

/**
 * Training load by week: minutes and effort of sessions and of practice at home, and the movements timed sets asked
 * for.
 */
@Injectable()
export class LoadsService {
  constructor(
    private readonly em: EntityManager,
    private readonly patterns: PatternsService,
  ) {}

  /** The week that contains `day` and the four before it, of each athlete who trains. */
  async of(clubId: string, day: string): Promise<AthleteLoadReply[]> {
    const mondays = await this.em.execute<{ monday: string }[]>(
      `select (${MONDAY('?::date')} - 7 * weeks)::text as monday
       from generate_series(${WEEKS_BEFORE}, 0, -1) as weeks`,
      [day],
    );
    const from = mondays[0]?.monday ?? day;
    const [since, sessions, reps] = await Promise.all([
      this.since(clubId),
      this.sessions(clubId, from),
      this.movements(clubId, from),
    ]);
    const key = (athleteId: string, monday: string): string => `${athleteId} ${monday}`;
    const held = new Map(sessions.map((row) => [key(row.athlete_id, row.monday), row]));
    return since.map(({ athlete_id: athleteId, effort, sets }) => ({
      athleteId,
      weeks: mondays.map(({ monday }): WeekLoadReply => {
        const session = held.get(key(athleteId, monday));
        return {
          monday,
          minutes: session?.minutes ?? 0,
          effort: effort !== null && effort <= monday ? (session?.effort ?? 0) : null,
          movements:
            sets !== null && sets <= monday
              ? (reps.get(key(athleteId, monday)) ?? NO_MOVEMENTS)
              : null,
        };
      }),
    }));
  }

  private since(clubId: string): Promise<Since[]> {
    return this.em.execute<Since[]>(
      `select a.id as athlete_id,
         (select ${MONDAY('min(d.day)')}::text from (${DONE}) d
          where d.club_id = a.club_id and d.athlete_id = a.id and d.effort is not null) as effort,
         (select ${MONDAY('min(s.day)')}::text from drill_set s
          where s.club_id = a.club_id and s.athlete_id = a.id) as sets
       from athlete a where a.club_id = ? and a.archived_at is null order by a.name, a.id`,
      [clubId],
    );
  }

  private sessions(clubId: string, from: string): Promise<OfSessions[]> {
    return this.em.execute<OfSessions[]>(
      `select d.athlete_id, ${MONDAY('d.day')}::text as monday, sum(d.minutes)::int as minutes,
         coalesce(sum(d.minutes * d.effort), 0)::int as effort
       from (${DONE}) d where d.club_id = ? and d.day >= ? group by 1, 2`,
      [clubId, from],
    );
  }

  /** The movements asked for by the reps of each athlete and week, under the key "athleteId monday". */
  private async movements(
    clubId: string,
    from: string,
  ): Promise<ReadonlyMap<string, MovementCounts>> {
    const rows = await this.em.execute<OfReps[]>(
      `select s.athlete_id, ${MONDAY('s.day')}::text as monday, s.pattern_id,
         s.pattern_version as version, r.target, count(*)::int as reps
       from drill_set s join rep r on r.club_id = s.club_id and r.set_id = s.id
       where s.club_id = ? and s.day >= ? and r.replaces is null group by 1, 2, 3, 4, 5`,
      [clubId, from],
    );
    const versions = await this.patterns.versions(
      clubId,
      rows.map(({ pattern_id, version }) => ({ patternId: pattern_id, version })),
    );
    const sums = new Map<string, MovementCounts>();
    for (const { athlete_id, monday, pattern_id, version, target, reps } of rows) {
      const pattern = versions.get(versionKey({ patternId: pattern_id, version }))?.body;
      const rep = movementsOfRep(pattern ?? { legs: [] }, target);
      const { splits, lunges, jumps } = rep;
      const all = { splits: reps * splits, lunges: reps * lunges, jumps: reps * jumps };
      const at = `${athlete_id} ${monday}`;
      sums.set(at, addMovements(sums.get(at) ?? NO_MOVEMENTS, all));
    }
    return sums;
  }
}
