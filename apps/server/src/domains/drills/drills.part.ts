import type { EntityManager } from '@mikro-orm/postgresql';
import type { InList } from '@orthokin/contract';
import { plainRows, plainRowsWithText } from '../../platform/storage/plain-rows.js';
import { handedOver, mapped, pages, type ClubPart } from '../club-part.js';
import { DrillSet } from './drill-set.entity.js';
import { GatheredReps, GatheredSets, gathered } from './gathered.js';
import { repReply, setReply } from './replies.js';
import { RepRow } from './rep.entity.js';

export const setsPart: ClubPart<'sets'> = {
  list: 'sets',
  take: (em, clubId, whose) => mapped(pages(em, DrillSet, clubId, 'id', whose), setReply),
  bring: (em, clubId, rows) => gathered(new GatheredSets(), rows).store(em, clubId),
  gather: () => new GatheredSets(),
  concerns: 'athlete_id = ?',
  bequeath: handedOver('drill_set'),
  names: { athleteId: 'athletes', patternId: 'patterns' },
};

/** A rep as the club's file has it. */
export const repInFile = (rep: RepRow): InList<'reps'> => ({ ...repReply(rep), setId: rep.setId });

export const repsPart: ClubPart<'reps'> = {
  list: 'reps',
  take: (em, clubId, whose) => mapped(pages(em, RepRow, clubId, 'id', whose), repInFile),
  bring: (em, clubId, rows) => gathered(new GatheredReps(), rows).store(em, clubId),
  gather: () => new GatheredReps(),
  concerns:
    'set_id in (select s.id from drill_set s where s.club_id = rep.club_id and s.athlete_id = ?)',
  names: { setId: 'sets', replaces: 'reps' },
};

/** A rep with its events also as the JSON they are stored as. */
export interface RepWithJson extends RepRow {
  readonly eventsJson: string;
}

/** A rep as a line of the club's file. Its events are written as they are stored, which saves half the work. */
export function repLine(rep: RepWithJson): string {
  const others = {
    id: rep.id,
    setId: rep.setId,
    ordinal: rep.ordinal,
    target: rep.target,
    seenFaults: rep.seenFaults,
    struckOut: rep.struckOut,
    marks: rep.marks,
    replaces: rep.replaces,
    corrected: rep.corrected,
  } satisfies Omit<Required<InList<'reps'>>, 'events'>;
  // JSON may have line breaks, a line may not.
  const events = rep.eventsJson.includes('\n') ? JSON.stringify(rep.events) : rep.eventsJson;
  return `${JSON.stringify(others).slice(0, -1)},"events":${events}}\n`;
}

const OF_SETS = 'where club_id = ? and set_id = any (?::uuid[]) order by id';
const ofSets = (clubId: string, setIds: readonly string[]) => [clubId, `{${setIds.join(',')}}`];

/** All reps of some sets, replaced ones included, in order of their ids (the order of recording). */
export const repsIn = (
  em: EntityManager,
  clubId: string,
  setIds: readonly string[],
): Promise<RepRow[]> => plainRows(em, RepRow, OF_SETS, ofSets(clubId, setIds));

/** Like {@link repsIn}, with their events also as JSON. */
export async function repsWithJson(
  em: EntityManager,
  clubId: string,
  setIds: readonly string[],
): Promise<RepWithJson[]> {
  const rows = await plainRowsWithText(em, RepRow, ['events'], OF_SETS, ofSets(clubId, setIds));
  return rows.map((row) =>
    Object.assign(row, {
      eventsJson: row.events,
      events: JSON.parse(row.events) as RepRow['events'],
    }),
  );
}
