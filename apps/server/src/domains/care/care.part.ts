import { insertAll, mapped, pages, type ClubPart } from '../club-part.js';
import { CareRecord } from './care-record.entity.js';
import { careReply } from './care.service.js';

export const carePart: ClubPart<'care'> = {
  list: 'care',
  take: (em, clubId) => mapped(pages(em, CareRecord, clubId, 'seq'), careReply),
  bring: (em, clubId, rows) =>
    insertAll(
      em,
      CareRecord,
      clubId,
      rows.map(({ id, athleteId, kind, by, at, takenBack = null, ...said }) => ({
        ...{ id, athleteId, kind, said, takenBack },
        ...{ saidBy: by, saidAt: new Date(at) },
      })),
    ),
  names: { athleteId: 'athletes' },
};
