import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { readSet } from '@orthokin/core/drill';
import type { Pattern } from '@orthokin/core/pattern';
import { judgeSet, readStaircase } from '@orthokin/core/progress';
import { setFigures, type SetFigures } from '@orthokin/core/stats';
import { PatternsService, versionKey } from '../domains/patterns/patterns.service.js';
import { rungAsRun } from '../domains/drills/as-run.js';
import { DrillSet } from '../domains/drills/drill-set.entity.js';
import { repsIn } from '../domains/drills/drills.part.js';
import type { RepRow } from '../domains/drills/rep.entity.js';
import { piecemeal } from '../platform/work/piecemeal.js';
import { plainRows } from '../platform/storage/plain-rows.js';
import { keepWorkedOut } from './keep-worked-out.js';
import { SetFiguresRow } from './set-figures.entity.js';

/** Sets worked out per batch. */
const AT_ONCE = 100;
/** Sets read per query: more would block other requests. */
const READ_AT_ONCE = 500;
/** How many sets count as "usual now". */
const NEWEST = 6;

/** Works out figures from sets' reps, and caches them. */
@Injectable()
export class FiguresService {
  constructor(
    private readonly em: EntityManager,
    private readonly patterns: PatternsService,
  ) {}

  /** Figures by set id; a set that cannot be read has none. */
  async of(clubId: string, setIds: readonly string[]): Promise<ReadonlyMap<string, SetFiguresRow>> {
    const found = new Map<string, SetFiguresRow>();
    for (let i = 0; i < setIds.length; i += READ_AT_ONCE)
      for (const [id, row] of await this.kept(clubId, setIds.slice(i, i + READ_AT_ONCE)))
        found.set(id, row);
    const missing = setIds.filter((id) => !found.has(id));
    // In batches, so that their reps fit into memory and block nobody for long.
    for (let i = 0; i < missing.length; i += AT_ONCE)
      for (const row of await this.workOut(clubId, missing.slice(i, i + AT_ONCE)))
        found.set(row.id, row);
    return found;
  }

  /**
   * Figures of an athlete's newest sets on a pattern that have the newest one's timing source: what is usual for them
   * now.
   */
  async ofNewest(clubId: string, athleteId: string, patternId: string): Promise<SetFigures[]> {
    const sets = await this.em.execute<{ id: string }[]>(
      `with timed as (
         select id, source, started_at, first_value(source) over (order by started_at desc) as newest
         from drill_set
         where club_id = ? and athlete_id = ? and pattern_id = ? and source <> 'none')
       select id from timed where source = newest order by started_at desc limit ?`,
      [clubId, athleteId, patternId, NEWEST],
    );
    const found = await this.of(
      clubId,
      sets.map(({ id }) => id),
    );
    return [...found.values()].map(({ figures }) => figures);
  }

  private async kept(
    clubId: string,
    setIds: readonly string[],
  ): Promise<Map<string, SetFiguresRow>> {
    if (setIds.length === 0) return new Map();
    const rows = await this.em.execute<Omit<SetFiguresRow, 'clubId'>[]>(
      `select id, figures, judgement, outcome, staircase from set_figures
       where club_id = ? and id = any (?::uuid[])`,
      [clubId, `{${setIds.join(',')}}`],
    );
    return new Map(rows.map((row) => [row.id, { ...row, clubId }]));
  }

  private async workOut(
    clubId: string,
    setIds: readonly string[],
  ): Promise<readonly SetFiguresRow[]> {
    const owners = await this.em.execute<{ id: string; athleteId: string }[]>(
      `select id, athlete_id as "athleteId" from drill_set where club_id = ? and id = any (?::uuid[])`,
      [clubId, `{${setIds.join(',')}}`],
    );
    const athleteOf = new Map(owners.map(({ id, athleteId }) => [id, athleteId]));
    return keepWorkedOut(this.em, clubId, [...new Set(athleteOf.values())], {
      entity: SetFiguresRow,
      athleteOf: ({ id }) => athleteOf.get(id) ?? '',
      workOut: () => this.made(clubId, setIds),
    });
  }

  private async made(clubId: string, setIds: readonly string[]): Promise<SetFiguresRow[]> {
    const sets = await plainRows(
      this.em,
      DrillSet,
      'where club_id = ? and id = any (?::uuid[]) order by id',
      [clubId, `{${setIds.join(',')}}`],
    );
    const reps = await repsIn(
      this.em,
      clubId,
      sets.map(({ id }) => id),
    );
    const repsOf = new Map<string, RepRow[]>(sets.map(({ id }) => [id, []]));
    for (const rep of reps) repsOf.get(rep.setId)?.push(rep);
    const versionOf = ({ patternId, patternVersion: version }: DrillSet) => ({
      ...{ patternId, version },
    });
    const versions = await this.patterns.versions(clubId, sets.map(versionOf));
    const made = await piecemeal(sets, (set): SetFiguresRow[] => {
      const pattern = versions.get(versionKey(versionOf(set)))?.body;
      if (!pattern) return [];
      const figures = figuresOf(set, repsOf.get(set.id) ?? [], pattern);
      return figures ? [{ clubId, id: set.id, ...figures }] : [];
    });
    return made.flat();
  }
}

/**
 * A set's figures, or `null` if it cannot be read. Requests are validated, but rows may be older than today's rules.
 */
function figuresOf(
  set: DrillSet,
  reps: readonly RepRow[],
  pattern: Pattern,
): Omit<SetFiguresRow, 'clubId' | 'id'> | null {
  try {
    const readings = readSet(set, reps, pattern);
    const { watched, pace } = set.conditions;
    const judgement = judgeSet(readings, rungAsRun(pattern, set), watched);
    return {
      ...{ judgement, outcome: judgement.outcome },
      figures: setFigures(readings, pattern.targets, watched),
      staircase: readStaircase(readings, pace),
    };
  } catch {
    return null;
  }
}
