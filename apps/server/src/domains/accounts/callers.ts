import type { IncomingMessage } from 'node:http';
import { Injectable } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import { ROUTES, isFor } from '@orthokin/contract/routes';
import { calledBy, type Caller, type SignedIn } from '../../platform/auth/caller.js';
import { within } from '../../platform/auth/scope.js';
import { Sessions } from '../../platform/auth/sessions.js';
import { WhoAsks, type RunsDrills } from '../../platform/auth/who-asks.js';
import { OwnedClubsService } from './owned-clubs.service.js';
import { ClubsService } from '../clubs/clubs.service.js';
import { isOnThisMachine } from '../../platform/auth/this-machine.js';

/** The club's id in an API path. */
const OF_CLUB = /^\/api\/clubs\/([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})(?:[/?]|$)/i;

/** Determines who sent a request, before anything else handles it. */
@Injectable()
export class Callers extends WhoAsks {
  constructor(
    private readonly owned: OwnedClubsService,
    private readonly sessions: Sessions,
    private readonly clubs: ClubsService,
  ) {
    super();
  }

  async runsDrills(request: IncomingMessage): Promise<RunsDrills> {
    const signedIn = await this.sessions.of(request);
    if (signedIn) {
      const { clubId, name, role } = signedIn;
      return { clubIds: isFor(ROUTES.recordSet, role) ? [clubId] : [], name };
    }
    const open = isOnThisMachine(request) ? await this.clubs.open() : [];
    return { clubIds: open.map(({ clubId }) => clubId), name: '' };
  }

  onSignedOut(listener: () => void): void {
    this.sessions.onReadAnew(listener);
  }

  /** Runs the rest of a request with its caller, and with row-level security set to what they may see. */
  readonly middleware = (request: Request, _response: Response, next: NextFunction): void => {
    const clubId = OF_CLUB.exec(request.originalUrl)?.[1]?.toLowerCase() ?? null;
    const signedIn = request.session.signedIn ?? null;
    this.caller(clubId, signedIn, isOnThisMachine(request)).then(
      (caller) => {
        const athleteIds = caller.role === 'athlete' ? (signedIn?.athleteIds ?? []) : null;
        const scope = { clubId: caller.role === null ? null : clubId, athleteIds };
        within(scope, () => calledBy(caller, next));
      },
      (error: unknown) => next(error),
    );
  };

  /**
   * The caller's role in a club: as they are signed in, or owner for anybody at this machine if the club has no
   * owner.
   */
  async caller(
    clubId: string | null,
    signedIn: SignedIn | null,
    isThisMachine: boolean,
  ): Promise<Caller> {
    const caller = { signedIn, clubId, isThisMachine };
    if (signedIn)
      return {
        ...caller,
        role: clubId === null || clubId === signedIn.clubId ? signedIn.role : null,
      };
    if (clubId === null || !isThisMachine || (await this.owned.has(clubId)))
      return { ...caller, role: null };
    return { ...caller, role: 'owner' };
  }
}
