import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { readSet } from '@orthokin/core/drill';
import {
  REP_COLUMNS,
  REP_DICTIONARY_HEADER,
  repDictionary,
  ROSTER_HEADS,
  rosterRow,
  SET_COLUMNS,
  setDictionary,
} from '@orthokin/core/formats';
import type { Pattern } from '@orthokin/core/pattern';
import { judgeRep } from '@orthokin/core/progress';
import { stringify } from 'csv-stringify/sync';
import { pages } from '../domains/club-part.js';
import { AthletesService } from '../domains/athletes/athletes.service.js';
import { CourseSetsService } from '../derived/course-sets.service.js';
import { rungAsRun } from '../domains/drills/as-run.js';
import { DrillSet } from '../domains/drills/drill-set.entity.js';
import { DrillsService } from '../domains/drills/drills.service.js';
import type { RepRow } from '../domains/drills/rep.entity.js';
import { PatternsService, versionKey } from '../domains/patterns/patterns.service.js';

/** Spreadsheets run cells that start like a formula; a name must never do that. */
const csv = (rows: unknown[][]): string => stringify(rows, { escape_formulas: true });

const REP_HEADER = REP_COLUMNS.map(({ name }) => name);
/** Sets that are read together: memory for some hundred, not for all of a club. */
const SETS_AT_ONCE = 200;

/** Reps and sets as tables for spreadsheets, with what their columns mean. */
@Injectable()
export class TablesService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly drills: DrillsService,
    private readonly courses: CourseSetsService,
  ) {}

  async repsOfSet(clubId: string, setId: string): Promise<string> {
    const set = await this.drills.set(clubId, setId);
    const names = await this.names(clubId);
    return csv([REP_HEADER, ...(await this.repRows(clubId, [set], names))]);
  }

  /** One row a rep, a page of sets at a time. */
  async *repsOfClub(clubId: string): AsyncIterable<string> {
    const names = await this.names(clubId);
    yield csv([REP_HEADER]);
    for await (const sets of pages(this.em, DrillSet, clubId)) {
      for (let i = 0; i < sets.length; i += SETS_AT_ONCE) {
        const rows = await this.repRows(clubId, sets.slice(i, i + SETS_AT_ONCE), names);
        if (rows.length > 0) yield csv(rows);
      }
    }
  }

  /** One row a set. */
  async *setsOfClub(clubId: string): AsyncIterable<string> {
    const [names, patterns, rows] = await Promise.all([
      this.names(clubId),
      this.patterns.all(clubId),
      this.courses.ofClub(clubId),
    ]);
    yield csv([SET_COLUMNS.map(({ name }) => name)]);
    for (let i = 0; i < rows.length; i += SETS_AT_ONCE)
      yield csv(
        rows.slice(i, i + SETS_AT_ONCE).map(({ athleteId, set }) => {
          const named = {
            ...set,
            athlete: names.get(athleteId) ?? '',
            pattern: patterns.get(set.patternId)?.body.name ?? '',
          };
          return SET_COLUMNS.map(({ cell }) => cell(named));
        }),
      );
  }

  /** One row a person, as such a table can be brought in; what is private of them is not in it. */
  async athletesOfClub(clubId: string): Promise<string> {
    const athletes = await this.athletes.everyone(clubId);
    return csv([ROSTER_HEADS, ...athletes.map(rosterRow)]);
  }

  private async names(clubId: string): Promise<ReadonlyMap<string, string>> {
    const athletes = await this.athletes.everyone(clubId);
    return new Map(athletes.map(({ id, name }) => [id, name]));
  }

  private async repRows(
    clubId: string,
    sets: readonly DrillSet[],
    names: ReadonlyMap<string, string>,
  ): Promise<unknown[][]> {
    const versionOf = ({ patternId, patternVersion: version }: DrillSet) => ({
      ...{ patternId, version },
    });
    const [versions, reps] = await Promise.all([
      this.patterns.versions(clubId, sets.map(versionOf)),
      this.drills.repsOfSets(
        clubId,
        sets.map(({ id }) => id),
      ),
    ]);
    return sets.flatMap((set) => {
      const pattern = versions.get(versionKey(versionOf(set)))?.body;
      return repRows(set, reps.get(set.id) ?? [], pattern, names.get(set.athleteId) ?? '');
    });
  }

  repDictionary(): string {
    return csv([[...REP_DICTIONARY_HEADER], ...repDictionary()]);
  }

  setDictionary(): string {
    return csv([[...REP_DICTIONARY_HEADER], ...setDictionary()]);
  }
}

/** The rows of a set's reps; of a set that cannot be read one row that says so. */
function repRows(
  set: DrillSet,
  reps: readonly RepRow[],
  pattern: Pattern | undefined,
  athlete: string,
): unknown[][] {
  const about = {
    setId: set.id,
    startedAt: set.startedAt.toISOString(),
    ...{ athlete, pattern: pattern?.name ?? '', rung: set.rung },
  };
  try {
    if (!pattern) throw new Error('No such version.');
    const rung = rungAsRun(pattern, set);
    return readSet(set, reps, pattern).map((reading) => {
      const verdicts = judgeRep(reading, rung);
      return REP_COLUMNS.map(({ cell }) => cell(about, reading, verdicts));
    });
  } catch {
    return [[about.setId, about.startedAt, athlete, 'cannot be read: see reps.jsonl']];
  }
}
