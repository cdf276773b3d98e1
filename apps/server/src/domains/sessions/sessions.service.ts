import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { saidBy } from '../../platform/auth/caller.js';
import type {
  AttendedBody,
  HeldSessionBody,
  HeldSessionReply,
  SessionNoteBody,
  SessionNoteReply,
} from '@orthokin/contract';
import { wrong } from '@orthokin/core/result';
import { groupBy } from '@orthokin/core/stats';
import { accepted, unknown } from '../../platform/http/refusals.js';
import { refuseAhead, refuseOtherDay } from '../ahead.js';
import { AthletesService } from '../athletes/athletes.service.js';
import { Club } from '../clubs/club.entity.js';
import { Attendance } from './attendance.entity.js';
import { HeldSession } from './held-session.entity.js';
import { SessionNote } from './session-note.entity.js';

/** Older sessions are only in the club's file. */
const NEWEST_SESSIONS = 100;
const NEWEST_NOTES = 500;

/** Sessions that took place, and observations made in them. */
@Injectable()
export class SessionsService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
  ) {}

  /** The newest sessions, latest first. */
  async newest(clubId: string): Promise<HeldSessionReply[]> {
    const sessions = await this.em
      .fork()
      .find(
        HeldSession,
        { clubId },
        { orderBy: { startedAt: 'desc', id: 'desc' }, limit: NEWEST_SESSIONS },
      );
    return withAttendance(this.em, clubId, sessions);
  }

  /** One session. */
  async one(clubId: string, id: string): Promise<HeldSessionReply> {
    const session = await this.em.fork().findOne(HeldSession, { clubId, id });
    const [reply] = session ? await withAttendance(this.em, clubId, [session]) : [];
    if (!reply) throw unknown('sessionId', id, 'a session that was held');
    return reply;
  }

  /** Saves a session; the last request wins. */
  async hold(clubId: string, id: string, body: HeldSessionBody): Promise<HeldSessionReply> {
    if (!(await this.em.findOne(Club, { clubId }))) throw unknown('clubId', clubId, 'a club');
    const { attended, startedAt, endedAt, ...session } = body;
    refuseAhead('endedAt', endedAt);
    refuseOtherDay('day', session.day, startedAt);
    if (Date.parse(endedAt) < Date.parse(startedAt))
      accepted(wrong('endedAt', endedAt, `not before the start, ${startedAt}`));
    const known = await this.athletes.among(
      clubId,
      attended.map(({ athleteId }) => athleteId),
    );
    for (const [i, { athleteId }] of attended.entries())
      if (!known.has(athleteId))
        accepted(wrong(`attended[${i}].athleteId`, athleteId, 'the id of an athlete of this club'));
    await this.em.transactional(async (em) => {
      await em.upsert(HeldSession, {
        ...{ clubId, id, ...session },
        ...{ startedAt: new Date(startedAt), endedAt: new Date(endedAt) },
      });
      await em.nativeDelete(Attendance, { clubId, sessionId: id });
      await bringAttendance(em, clubId, [{ id, attended }]);
    });
    return { id, ...body };
  }

  /** Deletes a session that did not take place. */
  async remove(clubId: string, id: string): Promise<void> {
    if ((await this.em.nativeDelete(HeldSession, { clubId, id })) === 0)
      throw unknown('sessionId', id, 'a session that was held');
  }

  /** Recent observations that were not withdrawn, newest first. */
  async notes(clubId: string): Promise<SessionNoteReply[]> {
    const notes = await this.em
      .fork()
      .find(
        SessionNote,
        { clubId, removed: false },
        { orderBy: { writtenAt: 'desc', id: 'desc' }, limit: NEWEST_NOTES },
      );
    return notes.map(noteReply);
  }

  /** Writes, withdraws or restores an observation. */
  async write(clubId: string, id: string, body: SessionNoteBody): Promise<SessionNoteReply> {
    if (!(await this.em.findOne(Club, { clubId }))) throw unknown('clubId', clubId, 'a club');
    if (body.athleteId !== null) await this.athletes.one(clubId, body.athleteId);
    if (body.fault === null && body.text.trim() === '')
      accepted(wrong('text', body.text, 'some words, or a fault that says it'));
    refuseAhead('writtenAt', body.writtenAt);
    const writtenBy = body.removed ? body.writtenBy : saidBy(body.writtenBy);
    await this.em.upsert(SessionNote, {
      ...{ clubId, id, ...body, writtenBy },
      writtenAt: new Date(body.writtenAt),
    });
    return { id, ...body, writtenBy };
  }
}

/** An observation as replies and files have it. */
export const noteReply = (note: SessionNote): SessionNoteReply => {
  const { id, sessionId, day, athleteId, fault, text, writtenBy, writtenAt, removed } = note;
  return {
    ...{ id, sessionId, day, athleteId, fault, text, writtenBy, removed },
    writtenAt: writtenAt.toISOString(),
  };
};

/** Sessions with attendance, in the order stored. */
export async function withAttendance(
  em: EntityManager,
  clubId: string,
  sessions: readonly HeldSession[],
): Promise<HeldSessionReply[]> {
  const there = await em.execute<(AttendedBody & { sessionId: string })[]>(
    `select session_id as "sessionId", athlete_id as "athleteId", minutes, effort, scores
     from attendance
     where club_id = ? and session_id = any (?::uuid[]) order by athlete_id`,
    [clubId, `{${sessions.map(({ id }) => id).join(',')}}`],
  );
  const of = groupBy(there, ({ sessionId }) => sessionId);
  return sessions.map(({ id, planId, name, day, startedAt, endedAt, blocks }) => ({
    ...{ id, planId, name, day, blocks },
    ...{ startedAt: startedAt.toISOString(), endedAt: endedAt.toISOString() },
    attended: (of.get(id) ?? []).map(({ sessionId: _, ...one }) => one),
  }));
}

/** Imports attendance, leaving out athletes the club does not have. */
export async function bringAttendance(
  em: EntityManager,
  clubId: string,
  sessions: readonly { readonly id: string; readonly attended: readonly AttendedBody[] }[],
): Promise<void> {
  const rows = sessions.flatMap(({ id, attended }) =>
    attended.map(({ athleteId, minutes, effort, scores }) => ({
      ...{ session_id: id, athlete_id: athleteId, minutes, effort },
      // Older files may have `null` here.
      scores: scores ?? [],
    })),
  );
  await em.execute(
    `insert into attendance (club_id, session_id, athlete_id, minutes, effort, scores)
     select a.club_id, r.session_id, r.athlete_id, r.minutes, r.effort, r.scores
     from jsonb_to_recordset(?::jsonb) as r (session_id uuid, athlete_id uuid, minutes int, effort int,
         scores jsonb)
       join athlete a on a.club_id = ? and a.id = r.athlete_id`,
    [JSON.stringify(rows), clubId],
  );
}
