import { insertAll, mapped, pages, type ClubPart } from '../club-part.js';
import { CareRecord } from './care-record.entity.js';
import { careReply, lastDay, saidOf } from './care.service.js';

export const carePart: ClubPart<'care'> = {
  list: 'care',
  take: (em, clubId, whose) => mapped(pages(em, CareRecord, clubId, 'seq', whose), careReply),
  bring: (em, clubId, rows) =>
    insertAll(
      em,
      CareRecord,
      clubId,
      rows.map((row) => ({
        ...{ id: row.id, athleteId: row.athleteId, kind: row.kind, said: saidOf(row) },
        ...{ saidBy: row.by, saidAt: new Date(row.at), takenBack: row.takenBack ?? null },
        until: lastDay(saidOf(row)),
      })),
    ),
  concerns: 'athlete_id = ?',
  names: { athleteId: 'athletes' },
};
