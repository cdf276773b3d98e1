import type { InList } from '@orthokin/contract';
import { date, insertAll, mapped, pages, type ClubPart } from '../club-part.js';
import { DrillSet } from './drill-set.entity.js';
import { repReply, setReply } from './replies.js';
import { RepRow } from './rep.entity.js';

export const setsPart: ClubPart<'sets'> = {
  list: 'sets',
  take: (em, clubId) => mapped(pages(em, DrillSet, clubId), setReply),
  bring: (em, clubId, rows) =>
    insertAll(
      em,
      DrillSet,
      clubId,
      rows.map(({ limitsMs = null, endReason = null, ...set }) => ({
        ...{ ...set, limitsMs, endReason },
        startedAt: date(set.startedAt),
        endedAt: date(set.endedAt),
      })),
    ),
  names: { athleteId: 'athletes', patternId: 'patterns' },
};

/** As the table has it; a column each, so that PostgreSQL takes a thousand rows out of one text. */
const REP_COLUMNS = `id uuid, "setId" uuid, ordinal int, target text, events jsonb, "seenFaults" jsonb,
  "struckOut" boolean, marks jsonb, replaces uuid, corrected jsonb`;

export const repsPart: ClubPart<'reps'> = {
  list: 'reps',
  take: (em, clubId) =>
    mapped(pages(em, RepRow, clubId), (rep) => ({ ...repReply(rep), setId: rep.setId })),
  async bring(em, clubId, rows) {
    for (const some of replacedFirst(rows))
      await em.execute(
        `insert into rep (club_id, id, set_id, ordinal, target, events, seen_faults, struck_out,
           marks, replaces, corrected)
         select ?::uuid, id, "setId", ordinal, target, events, "seenFaults", "struckOut",
           nullif(marks, 'null'::jsonb), replaces, nullif(corrected, 'null'::jsonb)
         from jsonb_to_recordset(?::jsonb) as given (${REP_COLUMNS})`,
        [clubId, JSON.stringify(some)],
      );
  },
  names: { setId: 'sets', replaces: 'reps' },
};

/** In waves: a correction names the rep it replaces, which must be there before it. */
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

/** Reps that replace each other in a circle: none of them can be first. */
export class ReplacingEachOther extends Error {
  constructor(readonly repId: string) {
    super('Reps replace each other.');
  }
}
