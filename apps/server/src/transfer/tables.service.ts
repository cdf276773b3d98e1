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
import { AthletesService } from '../domains/athletes/athletes.service.js';
import { CourseSetsService } from '../derived/course-sets.service.js';
import type { DrillSet } from '../domains/drills/drill-set.entity.js';
import { DrillsService } from '../domains/drills/drills.service.js';
import type { RepRow } from '../domains/drills/rep.entity.js';
import type { PatternVersion } from '../domains/patterns/pattern-version.entity.js';
import { PatternsService } from '../domains/patterns/patterns.service.js';

/** Spreadsheets run cells that start like a formula; a name must never do that. */
const csv = (rows: unknown[][]): string => stringify(rows, { escape_formulas: true });

/** Reps and sets as tables for spreadsheets, with what their columns mean. */
@Injectable()
export class TablesService {
  constructor(
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly drills: DrillsService,
    private readonly courses: CourseSetsService,
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
    const [athletes, patterns, rows] = await Promise.all([
      this.athletes.all(clubId),
      this.patterns.all(clubId),
      this.courses.ofClub(clubId),
    ]);
    const names = new Map(athletes.map(({ id, name }) => [id, name]));
    return csv([
      SET_COLUMNS.map(({ name }) => name),
      ...rows.map(({ athleteId, set }) => {
        const named = {
          ...set,
          athlete: names.get(athleteId) ?? '',
          pattern: patterns.get(set.patternId)?.body.name ?? '',
        };
        return SET_COLUMNS.map(({ cell }) => cell(named));
      }),
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
