import type { EntityManager } from '@mikro-orm/postgresql';
import type { InList } from '@orthokin/contract';
import { ColumnLines } from '../../platform/storage/column-lines.js';
import { withValues } from '../../platform/storage/with-values.js';
import type { Gathering } from '../club-part.js';

/** Adds rows that are at hand. */
export function gathered<Row, Into extends Gathering<Row>>(into: Into, rows: readonly Row[]): Into {
  for (const row of rows) into.add(row, null);
  return into;
}

const jsonOrNull = (value: object | null | undefined): string | null =>
  value ? JSON.stringify(value) : null;

/** Sets gathered for one insert. */
export class GatheredSets implements Gathering<InList<'sets'>> {
  private readonly lines = new ColumnLines({
    ...{ id: 'uuid', athlete_id: 'uuid', pattern_id: 'uuid', pattern_version: 'int', rung: 'int' },
    ...{ source: 'text', started_at: 'timestamptz', day: 'date', seed: 'bigint' },
    ...{ false_start_ms: 'int', response_limit_ms: 'int', conditions: 'jsonb', limits_ms: 'jsonb' },
    ...{ cues: 'json', ended_at: 'timestamptz', end_reason: 'text' },
  });

  add(set: InList<'sets'>): void {
    this.lines.add({
      id: set.id,
      athlete_id: set.athleteId,
      pattern_id: set.patternId,
      pattern_version: set.patternVersion,
      rung: set.rung,
      source: set.source,
      started_at: set.startedAt,
      day: set.day,
      seed: set.seed,
      false_start_ms: set.falseStartMs,
      response_limit_ms: set.responseLimitMs,
      conditions: JSON.stringify(set.conditions),
      limits_ms: jsonOrNull(set.limitsMs),
      cues: JSON.stringify(set.cues),
      ended_at: set.endedAt,
      end_reason: set.endReason,
    });
  }

  async store(em: EntityManager, clubId: string): Promise<void> {
    await this.storeNew(em, clubId);
  }

  /**
   * Inserts the sets, leaving out those whose id is taken.
   * @returns the ids of the inserted ones
   */
  async storeNew(em: EntityManager, clubId: string): Promise<ReadonlySet<string>> {
    const { lines } = this;
    const stored = await withValues<{ id: string }>(
      em,
      `${lines.insertInto('drill_set')} on conflict (club_id, id) do nothing returning id`,
      [clubId, ...lines.values],
    );
    return new Set(stored.map(({ id }) => id));
  }
}

/** Reps gathered for one insert, and corrections for inserts after it. */
export class GatheredReps implements Gathering<InList<'reps'>> {
  private readonly lines = repLines();
  private readonly corrections: InList<'reps'>[] = [];

  add(rep: InList<'reps'>, json: string | null): void {
    if (rep.replaces) this.corrections.push(rep);
    else addRep(this.lines, rep, json);
  }

  async store(em: EntityManager, clubId: string): Promise<void> {
    await storeReps(em, clubId, this.lines);
    for (const some of replacedFirst(this.corrections)) {
      const lines = repLines();
      for (const rep of some) addRep(lines, rep, null);
      await storeReps(em, clubId, lines);
    }
  }
}

/** The longest JSON of a rep's events that is stored as it came. */
const LONGEST_EVENTS = 2000;

/**
 * The JSON of a rep's events, cut out of the rep's own: to write it anew takes longer than all other work on a rep.
 * Safe only for a rep that was found valid. Its events then have no list and no text with a bracket in them, so they
 * end at the first one.
 * @returns `null` where the text has escapes or spaces, or could be meant for another field
 */
export function eventsIn(json: string): string | null {
  const key = json.indexOf('"events"');
  const from = key + '"events":'.length;
  const to = json.indexOf(']', from) + 1;
  const isPlain =
    json.startsWith('"events":[', key) &&
    to > 0 &&
    to - from <= LONGEST_EVENTS &&
    // A second key would win over the first, and one with an escape would not be found.
    !json.includes('"events"', from) &&
    !json.includes('\\');
  return isPlain ? json.slice(from, to) : null;
}

const repLines = () =>
  new ColumnLines({
    ...{ id: 'uuid', set_id: 'uuid', ordinal: 'int', target: 'text', events: 'json' },
    ...{ seen_faults: 'jsonb', struck_out: 'bool', marks: 'jsonb', replaces: 'uuid' },
    corrected: 'jsonb',
  });
type RepLines = ReturnType<typeof repLines>;

// A plain literal: one put together from several takes ten times as long, which with 100,000 reps is a second.
const addRep = (lines: RepLines, rep: InList<'reps'>, json: string | null): void =>
  lines.add({
    id: rep.id,
    set_id: rep.setId,
    ordinal: rep.ordinal,
    target: rep.target,
    events: (json === null ? null : eventsIn(json)) ?? JSON.stringify(rep.events),
    seen_faults: JSON.stringify(rep.seenFaults),
    struck_out: rep.struckOut,
    marks: jsonOrNull(rep.marks),
    replaces: rep.replaces,
    corrected: jsonOrNull(rep.corrected),
  });

async function storeReps(em: EntityManager, clubId: string, lines: RepLines): Promise<void> {
  if (!lines.isEmpty) await withValues(em, lines.insertInto('rep'), [clubId, ...lines.values]);
}

/**
 * Inserts sets, leaving out those whose id is taken.
 * @returns the ids of the inserted ones
 */
export const insertSets = (
  em: EntityManager,
  clubId: string,
  rows: readonly InList<'sets'>[],
): Promise<ReadonlySet<string>> => gathered(new GatheredSets(), rows).storeNew(em, clubId);

/** In batches: a correction refers to the rep it replaces, which must be inserted before it. */
function replacedFirst(rows: readonly InList<'reps'>[]): InList<'reps'>[][] {
  const waves: InList<'reps'>[][] = [];
  let waiting = [...rows];
  while (waiting.length > 0) {
    const later = new Set(waiting.map(({ id }) => id));
    const ready = waiting.filter(({ replaces }) => !later.has(replaces ?? ''));
    if (ready.length === 0) throw new ReplacingEachOther(waiting[0]?.id ?? '');
    waves.push(ready);
    const placed = new Set(ready.map(({ id }) => id));
    waiting = waiting.filter(({ id }) => !placed.has(id));
  }
  return waves;
}

/** Reps that replace each other in a cycle, so that none can be inserted first. */
export class ReplacingEachOther extends Error {
  constructor(readonly repId: string) {
    super('Reps replace each other.');
  }
}
