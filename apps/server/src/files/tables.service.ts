import { Injectable } from '@nestjs/common';
import { readSet } from '@orthokin/core/drill';
import {
  REP_COLUMNS,
  REP_DICTIONARY_HEADER,
  repDictionary,
  SET_COLUMNS,
  setDictionary,
} from '@orthokin/core/formats';
import { stringify } from 'csv-stringify/sync';
import { AthletesService } from '../athletes/athletes.service.js';
import { CourseService } from '../course/course.service.js';
import type { DrillSet } from '../drills/drill-set.entity.js';
import { DrillsService } from '../drills/drills.service.js';
import type { RepRow } from '../drills/rep.entity.js';
import type { PatternVersion } from '../patterns/pattern-version.entity.js';
import { PatternsService } from '../patterns/patterns.service.js';

/** Spreadsheets run cells that start like a formula; a name must never do that. */
const csv = (rows: unknown[][]): string => stringify(rows, { escape_formulas: true });

/** Reps and sets as tables for spreadsheets, with what their columns mean. */
@Injectable()
export class TablesService {
  constructor(
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly drills: DrillsService,
    private readonly courses: CourseService,
  ) {}

  async repsOfSet(clubId: string, setId: string): Promise<string> {
    return this.repTable(clubId, [await this.drills.set(clubId, setId)]);
  }

  async repsOfClub(clubId: string): Promise<string> {
    return this.repTable(clubId, await this.drills.allSets(clubId));
  }

  /** One row a rep of these sets. */
  private async repTable(clubId: string, sets: readonly DrillSet[]): Promise<string> {
    const [athletes, reps] = await Promise.all([
      this.athletes.all(clubId),
      this.drills.repsOfSets(
        clubId,
        sets.map(({ id }) => id),
      ),
    ]);
    const names = new Map(athletes.map(({ id, name }) => [id, name]));
    const versions = new Map<string, PatternVersion>();
    const rows: unknown[][] = [];
    for (const set of sets) {
      const key = `${set.patternId} ${set.patternVersion}`;
      const pattern =
        versions.get(key) ??
        (await this.patterns.version(clubId, set.patternId, set.patternVersion));
      versions.set(key, pattern);
      rows.push(...repRows(set, reps.get(set.id) ?? [], pattern, names.get(set.athleteId) ?? ''));
    }
    return csv([REP_COLUMNS.map(({ name }) => name), ...rows]);
  }

  /** One row a set. */
  async setsOfClub(clubId: string): Promise<string> {
    const rows = await this.courses.everySet(clubId);
    return csv([
      SET_COLUMNS.map(({ name }) => name),
      ...rows.map((set) => SET_COLUMNS.map(({ cell }) => cell(set))),
    ]);
  }

  repDictionary(): string {
    return csv([[...REP_DICTIONARY_HEADER], ...repDictionary()]);
  }

  setDictionary(): string {
    return csv([[...REP_DICTIONARY_HEADER], ...setDictionary()]);
  }
}

function repRows(
  set: DrillSet,
  reps: readonly RepRow[],
  { body: pattern }: PatternVersion,
  athlete: string,
): unknown[][] {
  const about = {
    setId: set.id,
    startedAt: set.startedAt.toISOString(),
    ...{ athlete, pattern: pattern.name, rung: set.rung },
  };
  return readSet(set, reps, pattern).map((reading) =>
    REP_COLUMNS.map(({ cell }) => cell(about, reading)),
  );
}
