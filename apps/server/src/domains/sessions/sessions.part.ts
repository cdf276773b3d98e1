import { insertAll, mapped, offTitles, pages, type ClubPart } from '../club-part.js';
import { HeldSession } from './held-session.entity.js';
import { SessionNote } from './session-note.entity.js';
import { bringAttendance, noteReply, withAttendance } from './sessions.service.js';

export const sessionsPart: ClubPart<'sessions'> = {
  list: 'sessions',
  async *take(em, clubId, whose) {
    for await (const rows of pages(em, HeldSession, clubId, 'id', whose))
      yield await withAttendance(em, clubId, rows);
  },
  async bring(em, clubId, rows) {
    await insertAll(
      em,
      HeldSession,
      clubId,
      rows.map(({ attended: _, startedAt, endedAt, ...session }) => ({
        ...session,
        ...{ startedAt: new Date(startedAt), endedAt: new Date(endedAt) },
      })),
    );
    await bringAttendance(em, clubId, rows);
  },
  forget: offTitles('held_session'),
  concerns: `id in (select a.session_id from attendance a
      where a.club_id = held_session.club_id and a.athlete_id = ?)`,
  names: {},
};

export const sessionNotesPart: ClubPart<'sessionNotes'> = {
  list: 'sessionNotes',
  take: (em, clubId, whose) => mapped(pages(em, SessionNote, clubId, 'id', whose), noteReply),
  bring: (em, clubId, rows) =>
    insertAll(
      em,
      SessionNote,
      clubId,
      rows.map((note) => ({ ...note, writtenAt: new Date(note.writtenAt) })),
    ),
  concerns: 'athlete_id = ?',
  names: { athleteId: 'athletes' },
};
