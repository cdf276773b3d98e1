import type { EntityManager } from '@mikro-orm/postgresql';
import type { InList } from '@orthokin/contract';
import { plainRows } from '../../platform/storage/plain-rows.js';
import { withValues } from '../../platform/storage/with-values.js';
import { handedOver, mapped, pages, type ClubPart } from '../club-part.js';
import { DrillSet } from './drill-set.entity.js';
import { repReply, setReply } from './replies.js';
import { RepRow } from './rep.entity.js';

/** Column definitions for `jsonb_to_recordset`, which unpacks a thousand rows from one parameter. */
const SET_COLUMNS = `id uuid, "athleteId" uuid, "patternId" uuid, "patternVersion" int, rung int, source text,
  "startedAt" timestamptz, day date, seed bigint, "falseStartMs" int, "responseLimitMs" int, conditions jsonb,
  "limitsMs" jsonb, "endedAt" timestamptz, "endReason" text`;

const REP_COLUMNS = `id uuid, "setId" uuid, ordinal int, target text, "seenFaults" jsonb, "struckOut" boolean,
  marks jsonb, replaces uuid, corrected jsonb`;

/** SQL for the rows made by {@link apart}: their columns, and each row's `document`. */
const given = (columns: string): string =>
  `rows from (jsonb_to_recordset(?::jsonb) as (${columns}), string_to_table(?, chr(10)))
   as given (${columns.replace(/("?\w+"?) \w+/g, '$1')}, document)`;

/**
 * Splits off the largest field of each row into lines of text. PostgreSQL stores that field as it is, so parsing it
 * with the rest, which is most of the work of an insert, would be wasted.
 * @returns the rows as a JSON array, and the fields as lines
 */
function apart<Field extends string>(
  rows: readonly Readonly<Record<Field, unknown>>[],
  field: Field,
): [rows: string, documents: string] {
  const documents: string[] = [];
  const others = rows.map(({ [field]: document, ...row }) => {
    documents.push(JSON.stringify(document));
    return row;
  });
  return [JSON.stringify(others), documents.join('\n')];
}

export const setsPart: ClubPart<'sets'> = {
  list: 'sets',
  take: (em, clubId, whose) => mapped(pages(em, DrillSet, clubId, 'id', whose), setReply),
  async bring(em, clubId, rows) {
    await insertSets(em, clubId, rows);
  },
  concerns: 'athlete_id = ?',
  bequeath: handedOver('drill_set'),
  names: { athleteId: 'athletes', patternId: 'patterns' },
};

/** A rep as the club's file has it. */
export const repInFile = (rep: RepRow): InList<'reps'> => ({ ...repReply(rep), setId: rep.setId });

export const repsPart: ClubPart<'reps'> = {
  list: 'reps',
  take: (em, clubId, whose) => mapped(pages(em, RepRow, clubId, 'id', whose), repInFile),
  async bring(em, clubId, rows) {
    for (const some of replacedFirst(rows))
      await withValues(
        em,
        `insert into rep (club_id, id, set_id, ordinal, target, events, seen_faults, struck_out,
           marks, replaces, corrected)
         select ?::uuid, id, "setId", ordinal, target, document::json, "seenFaults", "struckOut",
           nullif(marks, 'null'::jsonb), replaces, nullif(corrected, 'null'::jsonb)
         from ${given(REP_COLUMNS)}`,
        [clubId, ...apart(some, 'events')],
      );
  },
  concerns:
    'set_id in (select s.id from drill_set s where s.club_id = rep.club_id and s.athlete_id = ?)',
  names: { setId: 'sets', replaces: 'reps' },
};

/** All reps of some sets, replaced ones included, in order of their ids (the order of recording). */
export const repsIn = (
  em: EntityManager,
  clubId: string,
  setIds: readonly string[],
): Promise<RepRow[]> =>
  plainRows(em, RepRow, 'where club_id = ? and set_id = any (?::uuid[]) order by id', [
    ...[clubId, `{${setIds.join(',')}}`],
  ]);

/**
 * Inserts sets, leaving out those whose id is taken.
 * @returns the ids of the inserted ones
 */
export async function insertSets(
  em: EntityManager,
  clubId: string,
  rows: readonly InList<'sets'>[],
): Promise<ReadonlySet<string>> {
  const stored = await withValues<{ id: string }>(
    em,
    `insert into drill_set (club_id, id, athlete_id, pattern_id, pattern_version, rung, source, started_at, day,
       seed, false_start_ms, response_limit_ms, conditions, limits_ms, cues, ended_at, end_reason)
     select ?::uuid, id, "athleteId", "patternId", "patternVersion", rung, source, "startedAt", day,
       seed, "falseStartMs", "responseLimitMs", conditions, nullif("limitsMs", 'null'::jsonb), document::json,
       "endedAt", "endReason"
     from ${given(SET_COLUMNS)}
     on conflict (club_id, id) do nothing
     returning id`,
    [clubId, ...apart(rows, 'cues')],
  );
  return new Set(stored.map(({ id }) => id));
}

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
