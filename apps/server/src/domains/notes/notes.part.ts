import { date, insertAll, mapped, pages, type ClubPart } from '../club-part.js';
import { SetNote } from './set-note.entity.js';

export const notesPart: ClubPart<'notes'> = {
  list: 'notes',
  take: (em, clubId) =>
    mapped(pages(em, SetNote, clubId), ({ id, setId, text, writtenBy, writtenAt, removedAt }) => ({
      ...{ id, setId, text, writtenBy },
      writtenAt: writtenAt.toISOString(),
      removed: removedAt !== null,
      removedAt: removedAt?.toISOString() ?? null,
    })),
  bring: (em, clubId, rows) =>
    insertAll(
      em,
      SetNote,
      clubId,
      rows.map(({ id, setId, text, writtenBy, writtenAt, removedAt }) => ({
        ...{ id, setId, text, writtenBy },
        writtenAt: date(writtenAt),
        removedAt: date(removedAt),
      })),
    ),
  names: { setId: 'sets' },
};
