import { Body, Controller, Param } from '@nestjs/common';
import {
  ClubPath,
  HeldSessionBody,
  HeldSessionReply,
  NewNotePath,
  NewSessionPath,
  SessionNoteBody,
  SessionNoteReply,
  SessionPath,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { SessionsService } from './sessions.service.js';

@Controller()
export class SessionsController {
  constructor(private readonly sessions: SessionsService) {}

  @Serves(ROUTES.heldSessions, { gives: HeldSessionReply, each: true })
  newest(@Param() { clubId }: ClubPath): Promise<HeldSessionReply[]> {
    return this.sessions.newest(clubId);
  }

  @Serves(ROUTES.heldSession, { gives: HeldSessionReply })
  one(@Param() { clubId, sessionId }: SessionPath): Promise<HeldSessionReply> {
    return this.sessions.one(clubId, sessionId);
  }

  @Serves(ROUTES.holdSession, { takes: HeldSessionBody, gives: HeldSessionReply })
  hold(
    @Param() { clubId, sessionId }: NewSessionPath,
    @Body() body: HeldSessionBody,
  ): Promise<HeldSessionReply> {
    return this.sessions.hold(clubId, sessionId, body);
  }

  @Serves(ROUTES.removeSession)
  async remove(@Param() { clubId, sessionId }: SessionPath): Promise<object> {
    await this.sessions.remove(clubId, sessionId);
    return {};
  }

  @Serves(ROUTES.sessionNotes, { gives: SessionNoteReply, each: true })
  notes(@Param() { clubId }: ClubPath): Promise<SessionNoteReply[]> {
    return this.sessions.notes(clubId);
  }

  @Serves(ROUTES.writeSessionNote, { takes: SessionNoteBody, gives: SessionNoteReply })
  write(
    @Param() { clubId, noteId }: NewNotePath,
    @Body() body: SessionNoteBody,
  ): Promise<SessionNoteReply> {
    return this.sessions.write(clubId, noteId, body);
  }
}
