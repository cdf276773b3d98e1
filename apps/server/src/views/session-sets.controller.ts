import { Controller, Param } from '@nestjs/common';
import { SessionPath, SessionSetReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { CourseSetsService } from '../derived/course-sets.service.js';
import { SessionsService } from '../domains/sessions/sessions.service.js';
import { Serves } from '../platform/http/serves.js';

/** The sets timed during a session. */
@Controller()
export class SessionSetsController {
  constructor(
    private readonly sessions: SessionsService,
    private readonly sets: CourseSetsService,
  ) {}

  @Serves(ROUTES.sessionSets, { gives: SessionSetReply, each: true })
  async all(@Param() { clubId, sessionId }: SessionPath): Promise<SessionSetReply[]> {
    const { startedAt, endedAt, attended } = await this.sessions.one(clubId, sessionId);
    const found = await this.sets.between(clubId, {
      ...{ from: new Date(startedAt), to: new Date(endedAt) },
      athleteIds: attended.map(({ athleteId }) => athleteId),
    });
    return found.map(({ athleteId, set }) => ({ athleteId, ...set }));
  }
}
