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

/** Spreadsheets run text that starts like this; a name must never be run. */
const LIKE_A_FORMULA = /^[=+\-@\t\r]/;
const harmless = (cell: Cell): string =>
  typeof cell === 'string' && LIKE_A_FORMULA.test(cell) ? `'${cell}` : String(cell ?? '');

/** What reads tables in the web would write them as well, in twice the time: of a whole club that is seconds. */
const csv = (rows: readonly (readonly Cell[])[]): string =>
  `${csvFormatRows(rows.map((row) => row.map(harmless)))}\n`;

const REP_HEADER = REP_COLUMNS.map(({ name }) => name);
/** Sets that are read together: of more than these what is new lives long enough to be tidied up again and again. */
const SETS_AT_ONCE = 50;

/** Some sets with all that was recorded of them, and the pattern as it was; without it where it cannot be read. */
type ReadSets = readonly {
  readonly set: DrillSet;
  readonly reps: readonly RepRow[];
  readonly pattern: Pattern | undefined;
}[];

/** Some reps, and the rows of the table that are theirs. */
interface RepPage {
  readonly reps: readonly RepRow[];
  readonly table: string;
}

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
    return csv([REP_HEADER]) + repPage(await this.readSets(clubId, [set]), names).table;
  }

  /** One row a rep, a page of sets at a time. */
  async *repsOfClub(clubId: string): AsyncIterable<string> {
    for await (const { table } of this.repPages(clubId)) yield table;
  }

  /** Every rep of a club set by set, replaced ones too, and the table of them: both for one reading. */
  async *repPages(clubId: string): AsyncIterable<RepPage> {
    const names = await this.names(clubId);
    yield { reps: [], table: csv([REP_HEADER]) };
    for await (const sets of ahead(this.setsWithReps(clubId))) yield repPage(sets, names);
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

/** The rows of a set's reps; of a set that cannot be read one row that says so. */
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
