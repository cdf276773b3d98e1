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
import { csvFormatRows } from 'd3-dsv';
import { pages } from '../domains/club-part.js';
import { AthletesService } from '../domains/athletes/athletes.service.js';
import { CourseSetsService } from '../derived/course-sets.service.js';
import { rungAsRun } from '../domains/drills/as-run.js';
import { DrillSet } from '../domains/drills/drill-set.entity.js';
import { DrillsService } from '../domains/drills/drills.service.js';
import type { RepRow } from '../domains/drills/rep.entity.js';
import { PatternsService, versionKey } from '../domains/patterns/patterns.service.js';
import { ahead } from '../platform/work/ahead.js';

type Cell = string | number | null;

/** Spreadsheets run text that begins like this as a formula; a name must never be run. */
const LIKE_A_FORMULA = /^[=+\-@\t\r]/;
const harmless = (cell: Cell): string =>
  typeof cell === 'string' && LIKE_A_FORMULA.test(cell) ? `'${cell}` : String(cell ?? '');

/** Not papaparse, which the web app uses: it takes twice as long, which for a whole club is seconds. */
const csv = (rows: readonly (readonly Cell[])[]): string =>
  `${csvFormatRows(rows.map((row) => row.map(harmless)))}\n`;

const REP_HEADER = REP_COLUMNS.map(({ name }) => name);
/**
 * Sets per batch. Objects of larger batches live long enough to be promoted by the garbage collector, which costs
 * more than it saves.
 */
const SETS_AT_ONCE = 50;

/** Sets with their reps and the pattern version they were run on; `undefined` if that cannot be read. */
type ReadSets = readonly {
  readonly set: DrillSet;
  readonly reps: readonly RepRow[];
  readonly pattern: Pattern | undefined;
}[];

/** Some reps, with their rows of the table as CSV. */
interface RepPage {
  readonly reps: readonly RepRow[];
  readonly table: string;
}

/** Exports reps and sets as CSV, with dictionaries of their columns. */
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
    return csv([REP_HEADER]) + repPage(await this.readSets(clubId, [set]), names).table;
  }

  /** One row per rep, a batch of sets at a time. */
  async *repsOfClub(clubId: string): AsyncIterable<string> {
    for await (const { table } of this.repPages(clubId)) yield table;
  }

  /**
   * All reps of a club set by set, replaced ones included, both as rows and as CSV, so that a club's file reads them
   * only once.
   */
  async *repPages(clubId: string): AsyncIterable<RepPage> {
    const names = await this.names(clubId);
    yield { reps: [], table: csv([REP_HEADER]) };
    for await (const sets of ahead(this.setsWithReps(clubId))) yield repPage(sets, names);
  }

  /** One row per set. */
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

  /** One row per athlete, in the format of the roster import, without private fields. */
  async athletesOfClub(clubId: string): Promise<string> {
    const athletes = await this.athletes.everyone(clubId);
    return csv([ROSTER_HEADS, ...athletes.map(rosterRow)]);
  }

  private async *setsWithReps(clubId: string): AsyncIterable<ReadSets> {
    for await (const sets of pages(this.em, DrillSet, clubId))
      for (let i = 0; i < sets.length; i += SETS_AT_ONCE)
        yield await this.readSets(clubId, sets.slice(i, i + SETS_AT_ONCE));
  }

  private async names(clubId: string): Promise<ReadonlyMap<string, string>> {
    const athletes = await this.athletes.everyone(clubId);
    return new Map(athletes.map(({ id, name }) => [id, name]));
  }

  private async readSets(clubId: string, sets: readonly DrillSet[]): Promise<ReadSets> {
    const versionOf = ({ patternId, patternVersion: version }: DrillSet) => ({
      ...{ patternId, version },
    });
    const [versions, bySet] = await Promise.all([
      this.patterns.versions(clubId, sets.map(versionOf)),
      this.drills.repsOfSets(
        clubId,
        sets.map(({ id }) => id),
      ),
    ]);
    return sets.map((set) => ({
      ...{ set, reps: bySet.get(set.id) ?? [] },
      pattern: versions.get(versionKey(versionOf(set)))?.body,
    }));
  }

  repDictionary(): string {
    return csv([[...REP_DICTIONARY_HEADER], ...repDictionary()]);
  }

  setDictionary(): string {
    return csv([[...REP_DICTIONARY_HEADER], ...setDictionary()]);
  }
}

function repPage(sets: ReadSets, names: ReadonlyMap<string, string>): RepPage {
  const rows = sets.flatMap((one) => repRows(one, names.get(one.set.athleteId) ?? ''));
  return { reps: sets.flatMap(({ reps }) => reps), table: rows.length > 0 ? csv(rows) : '' };
}

/** The table's rows for a set's reps; a single row that says so if the set cannot be read. */
function repRows({ set, reps, pattern }: ReadSets[number], athlete: string): Cell[][] {
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
