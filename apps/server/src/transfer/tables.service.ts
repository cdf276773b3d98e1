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
import { csvFormatValue } from 'd3-dsv';
import { pages } from '../domains/club-part.js';
import { AthletesService } from '../domains/athletes/athletes.service.js';
import { CourseSetsService } from '../derived/course-sets.service.js';
import { rungAsRun } from '../domains/drills/as-run.js';
import { repsWithJson, type RepWithJson } from '../domains/drills/drills.part.js';
import { DrillSet } from '../domains/drills/drill-set.entity.js';
import { DrillsService } from '../domains/drills/drills.service.js';
import { PatternsService, versionKey } from '../domains/patterns/patterns.service.js';
import { ahead } from '../platform/work/ahead.js';

type Cell = string | number | null;

/** Spreadsheets run text that begins like this as a formula; a name must never be run. */
const LIKE_A_FORMULA = /^[=+\-@\t\r]/;
const harmless = (text: string): string => (LIKE_A_FORMULA.test(text) ? `'${text}` : text);

/** Only text can need quotes; most cells are numbers. */
const inCsv = (cell: Cell): string =>
  typeof cell === 'string' ? csvFormatValue(harmless(cell)) : String(cell ?? '');

/** Not papaparse, which the web app uses: it takes four times as long, which for a whole club is seconds. */
const csv = (rows: readonly (readonly Cell[])[]): string => rows.map(csvRow).join('');
const csvRow = (row: readonly Cell[]): string => `${row.map(inCsv).join(',')}\n`;

const REP_HEADER = REP_COLUMNS.map(({ name }) => name);
/**
 * Sets per batch. Objects of larger batches live long enough to be promoted by the garbage collector, which costs
 * more than it saves.
 */
const SETS_AT_ONCE = 50;

/** Sets with their reps and the pattern version they were run on; `undefined` if that cannot be read. */
type ReadSets = readonly {
  readonly set: DrillSet;
  readonly reps: readonly RepWithJson[];
  readonly pattern: Pattern | undefined;
}[];

/** Some reps, with their rows of the table as CSV. */
interface RepPage {
  readonly reps: readonly RepWithJson[];
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
    const bySet = new Map<string, RepWithJson[]>(sets.map(({ id }) => [id, []]));
    const [versions, reps] = await Promise.all([
      this.patterns.versions(clubId, sets.map(versionOf)),
      repsWithJson(this.em, clubId, [...bySet.keys()]),
    ]);
    for (const rep of reps) bySet.get(rep.setId)?.push(rep);
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
  return {
    reps: sets.flatMap(({ reps }) => reps),
    table: sets.map((one) => repRows(one, names.get(one.set.athleteId) ?? '')).join(''),
  };
}

/** The table's rows for a set's reps; a single row that says so if the set cannot be read. */
function repRows({ set, reps, pattern }: ReadSets[number], athlete: string): string {
  const about = {
    setId: set.id,
    startedAt: set.startedAt.toISOString(),
    ...{ athlete, pattern: pattern?.name ?? '', rung: set.rung },
  };
  try {
    if (!pattern) throw new Error('No such version.');
    const rung = rungAsRun(pattern, set);
    const rows = readSet(set, reps, pattern).map((reading) => {
      const verdicts = judgeRep(reading, rung);
      // Not by way of a list of all cells: there are millions of them.
      return `${REP_COLUMNS.map(({ cell }) => inCsv(cell(about, reading, verdicts))).join(',')}\n`;
    });
    return rows.join('');
  } catch {
    return csvRow([about.setId, about.startedAt, athlete, 'cannot be read: see reps.jsonl']);
  }
}
