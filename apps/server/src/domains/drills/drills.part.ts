import type { EntityManager } from '@mikro-orm/postgresql';
import type { InList } from '@orthokin/contract';
import { plainRows } from '../../platform/storage/plain-rows.js';
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

/** All reps of some sets, replaced ones included, in order of their ids (the order of recording). */
export const repsIn = (
  em: EntityManager,
  clubId: string,
  setIds: readonly string[],
): Promise<RepRow[]> =>
  plainRows(em, RepRow, 'where club_id = ? and set_id = any (?::uuid[]) order by id', [
    ...[clubId, `{${setIds.join(',')}}`],
  ]);
