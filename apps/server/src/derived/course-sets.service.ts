import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { CourseSetReply } from '@orthokin/contract';
import { senseOf, type Conditions } from '@orthokin/core/drill';
import type { SetOutcome } from '@orthokin/core/progress';
import type { SetFigures } from '@orthokin/core/stats';
import { FiguresService } from './figures.service.js';
import { keptBeside } from './set-figures.entity.js';

/** The columns of a set that a course needs (not its cues), with the figures worked out from its reps. */
interface CourseRow {
  readonly id: string;
  readonly athlete_id: string;
  readonly pattern_id: string;
  readonly pattern_version: number;
  readonly rung: number;
  readonly source: CourseSetReply['source'];
  readonly started_at: string;
  readonly day: string;
  readonly seed: string;
  readonly cue_kinds: Conditions['cueKinds'];
  readonly eased: boolean;
  readonly figures: SetFigures | null;
  readonly outcome: SetOutcome | null;
}

const COLUMNS = `
  s.id, s.athlete_id, s.pattern_id, s.pattern_version, s.rung, s.source, s.started_at,
  s.day::text as day, s.seed, s.conditions->'cueKinds' as cue_kinds,
  coalesce(s.conditions->>'eased', '') <> '' as eased,
  f.figures, f.outcome
  from drill_set s ${keptBeside('figures, outcome')}`;

/** Rows per query: converting more at once would block other requests. */
const AT_ONCE = 500;

/** A cursor before every set. */
const BEFORE_ALL: Pick<CourseRow, 'started_at' | 'id'> = {
  started_at: '-infinity',
  id: '00000000-0000-0000-0000-000000000000',
};

/** Sets as points of a course, oldest first, read from cached figures instead of from reps. */
@Injectable()
export class CourseSetsService {
  constructor(
    private readonly em: EntityManager,
    private readonly figures: FiguresService,
  ) {}

  /** All sets of an athlete. */
  async ofAthlete(clubId: string, athleteId: string): Promise<CourseSetReply[]> {
    const found = await this.found(clubId, 's.athlete_id = ?', [athleteId]);
    return found.map(({ set }) => set);
  }

  /** Sets since a moment, by athlete id; of some athletes, or of everybody. */
  async since(
    clubId: string,
    since: Date,
    athleteIds: readonly string[] | null = null,
  ): Promise<ReadonlyMap<string, CourseSetReply[]>> {
    const found = athleteIds
      ? await this.found(clubId, 's.started_at >= ? and s.athlete_id = any (?::uuid[])', [
          since,
          `{${athleteIds.join(',')}}`,
        ])
      : await this.found(clubId, 's.started_at >= ?', [since]);
    const of = new Map<string, CourseSetReply[]>();
    for (const { athleteId, set } of found) {
      const own = of.get(athleteId);
      if (own) own.push(set);
      else of.set(athleteId, [set]);
    }
    return of;
  }

  /** Sets of some athletes that began within a span of time, with the athlete's id. */
  between(
    clubId: string,
    { from, to, athleteIds }: { from: Date; to: Date; athleteIds: readonly string[] },
  ): Promise<{ athleteId: string; set: CourseSetReply }[]> {
    return this.found(clubId, 's.athlete_id = any (?::uuid[]) and s.started_at between ? and ?', [
      `{${athleteIds.join(',')}}`,
      from,
      to,
    ]);
  }

  /** All sets of a club, with the athlete's id. */
  ofClub(clubId: string): Promise<{ athleteId: string; set: CourseSetReply }[]> {
    return this.found(clubId, 'true', []);
  }

  /** Sets of a club that meet an SQL condition, oldest first, with the athlete's id. */
  private async found(
    clubId: string,
    condition: string,
    params: readonly unknown[],
  ): Promise<{ athleteId: string; set: CourseSetReply }[]> {
    const found: { athleteId: string; set: CourseSetReply }[] = [];
    let last = BEFORE_ALL;
    for (;;) {
      const rows = await this.em.execute<CourseRow[]>(
        `select ${COLUMNS}
         where s.club_id = ? and ${condition} and (s.started_at, s.id) > (?::timestamptz, ?)
         order by s.started_at, s.id limit ${AT_ONCE}`,
        [clubId, clubId, ...params, last.started_at, last.id],
      );
      found.push(...(await this.replies(clubId, rows)));
      const newest = rows.at(-1);
      if (!newest || rows.length < AT_ONCE) return found;
      last = newest;
    }
  }

  /** Sets with their figures; missing figures are worked out first. */
  private async replies(
    clubId: string,
    rows: readonly CourseRow[],
  ): Promise<{ athleteId: string; set: CourseSetReply }[]> {
    const missing = rows.filter(({ figures }) => figures === null).map(({ id }) => id);
    const fresh = await this.figures.of(clubId, missing);
    return rows.flatMap((row) => {
      const figures = row.figures ?? fresh.get(row.id)?.figures;
      const outcome = row.outcome ?? fresh.get(row.id)?.outcome;
      if (!figures || !outcome) return [];
      return [{ athleteId: row.athlete_id, set: courseSet(row, figures, outcome) }];
    });
  }
}

const courseSet = (row: CourseRow, figures: SetFigures, outcome: SetOutcome): CourseSetReply => ({
  setId: row.id,
  atMs: new Date(row.started_at).getTime(),
  day: row.day,
  patternId: row.pattern_id,
  patternVersion: row.pattern_version,
  rung: row.rung,
  source: row.source,
  sense: senseOf({ cueKinds: row.cue_kinds }),
  seed: Number(row.seed),
  eased: row.eased,
  figures,
  outcome,
});
