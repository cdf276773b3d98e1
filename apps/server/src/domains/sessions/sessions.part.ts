import { insertAll, mapped, pages, type ClubPart } from '../club-part.js';
import { HeldSession } from './held-session.entity.js';
import { SessionNote } from './session-note.entity.js';
import { bringAttendance, noteReply, withAttendance } from './sessions.service.js';

export const sessionsPart: ClubPart<'sessions'> = {
  list: 'sessions',
  async *take(em, clubId) {
    for await (const rows of pages(em, HeldSession, clubId))
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
  names: {},
};

export const sessionNotesPart: ClubPart<'sessionNotes'> = {
  list: 'sessionNotes',
  take: (em, clubId) => mapped(pages(em, SessionNote, clubId), noteReply),
  bring: (em, clubId, rows) =>
    insertAll(
      em,
      SessionNote,
      clubId,
      rows.map((note) => ({ ...note, writtenAt: new Date(note.writtenAt) })),
    ),
  names: { athleteId: 'athletes' },
};
