import { date, insertAll, mapped, pages, type ClubPart } from '../club-part.js';
import { SetNote } from './set-note.entity.js';

export const notesPart: ClubPart<'notes'> = {
  list: 'notes',
  take: (em, clubId, whose) =>
    mapped(
      pages(em, SetNote, clubId, 'id', whose),
      ({ id, setId, text, writtenBy, writtenAt, removedAt }) => ({
        ...{ id, setId, text, writtenBy },
        writtenAt: writtenAt.toISOString(),
        removed: removedAt !== null,
        removedAt: removedAt?.toISOString() ?? null,
      }),
    ),
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
  concerns:
    'set_id in (select s.id from drill_set s where s.club_id = set_note.club_id and s.athlete_id = ?)',
  // What somebody wrote about an erased athlete is deleted, even though their sets stay.
  async bequeath(em, clubId, _, heir) {
    await em.execute(
      `delete from set_note n using drill_set s
       where n.club_id = ? and s.club_id = n.club_id and s.id = n.set_id and s.athlete_id = ?`,
      [clubId, heir],
    );
  },
  names: { setId: 'sets' },
};
