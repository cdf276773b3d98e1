import { randomUUID } from 'node:crypto';
import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Inject, Injectable } from '@nestjs/common';
import type { MeReply, SignInBody } from '@orthokin/contract';
import { DEMO_CLUB_ID, type Role } from '@orthokin/core/people';
import type { Request } from 'express';
import { callerNow, type SignedIn } from '../../platform/auth/caller.js';
import { Guessing } from '../../platform/auth/guessing.js';
import { withinClub } from '../../platform/auth/scope.js';
import { FLOOR_SIGNED_IN_MS } from '../../platform/auth/sessions.js';
import { refuseWith } from '../../platform/http/refusals.js';
import { Athlete } from '../athletes/athlete.entity.js';
import { ClubsService } from '../clubs/clubs.service.js';
import { Account } from './account.entity.js';
import { deviceName } from '../../platform/auth/device-name.js';
import { isRight } from './passwords.js';

/** An account found by its email address. */
interface FoundAccount {
  readonly club_id: string;
  readonly id: string;
  readonly password_hash: string;
}

/**
 * Injection token: whether the demo may be tried in each role without a password. Only for servers nobody else can
 * reach.
 */
export const MAY_TRY_ROLES = Symbol('MAY_TRY_ROLES');

type Identity = Pick<SignedIn, 'clubId' | 'role' | 'name' | 'accountId' | 'athleteIds'>;

/** Who a device is signed in as, and signing it in. */
@Injectable()
export class SignInService {
  private readonly guessing = new Guessing();

  constructor(
    private readonly em: EntityManager,
    private readonly clubs: ClubsService,
    @Inject(MAY_TRY_ROLES) private readonly mayTryRoles: boolean,
  ) {}

  /** Who the caller is, and which clubs can be opened without signing in. */
  async me(signedIn: SignedIn | null = callerNow().signedIn): Promise<MeReply> {
    const { isThisMachine } = callerNow();
    const open = isThisMachine && !signedIn ? await this.clubs.open() : [];
    return {
      signedIn: signedIn && {
        ...{ clubId: signedIn.clubId, role: signedIn.role, name: signedIn.name },
        accountId: signedIn.accountId,
        athleteIds: signedIn.athleteIds && [...signedIn.athleteIds],
      },
      ...{ open, isThisMachine },
      hasOwned: isThisMachine && !signedIn && (await this.clubs.hasOwned()),
      canTryRoles: this.mayTryRoles && open.some(({ clubId }) => clubId === DEMO_CLUB_ID),
    };
  }

  /** Signs a device in with a password. The reply does not reveal whether the address has an account. */
  async byPassword(request: Request, { email, password }: SignInBody): Promise<MeReply> {
    const address = request.ip ?? '';
    const whom = email.trim().toLowerCase();
    await this.guessing.count(address, whom);
    const [found] = await this.em.execute<FoundAccount[]>(
      `select club_id, id, password_hash from account_with_email(?)`,
      [whom],
    );
    if (!(await isRight(password, found?.password_hash)) || !found)
      throw refuseWith(HttpStatus.UNAUTHORIZED, [
        { field: 'password', given: 'one that does not fit', allowed: 'the one of this address' },
      ]);
    await this.guessing.wasRight(address, whom);
    const account = await withinClub(found.club_id, () => this.account(found.club_id, found.id));
    return this.as(request, identityOf(account));
  }

  /** Signs in to the demo in a role; only while the demo club has no owner. */
  async tryRole(request: Request, role: Role): Promise<MeReply> {
    const open = this.mayTryRoles ? await this.clubs.open() : [];
    if (!open.some(({ clubId }) => clubId === DEMO_CLUB_ID))
      throw refuseWith(HttpStatus.FORBIDDEN, [
        { field: 'role', given: role, allowed: 'none: the demo is not here, or has an owner' },
      ]);
    const [athlete] = await withinClub(DEMO_CLUB_ID, () =>
      this.em
        .fork()
        .find(Athlete, { clubId: DEMO_CLUB_ID }, { orderBy: { name: 'asc' }, limit: 1 }),
    );
    return this.as(request, {
      ...{ clubId: DEMO_CLUB_ID, role, accountId: null },
      name: role === 'athlete' ? (athlete?.name ?? '') : '',
      athleteIds: role === 'athlete' ? [athlete?.id ?? ''] : null,
    });
  }

  /**
   * Signs the asking device in.
   * @param until the latest end of the session
   */
  async as(request: Request, who: Identity, until?: Date): Promise<MeReply> {
    const signedIn: SignedIn = {
      ...who,
      ...{ deviceId: randomUUID(), since: new Date().toISOString() },
      device: deviceName(request.headers['user-agent']),
    };
    // A new session id, so that one planted before signing in is worthless (session fixation).
    await new Promise<void>((done, fail) =>
      request.session.regenerate((error) => (error ? fail(error as Error) : done())),
    );
    request.session.signedIn = signedIn;
    if (who.role === 'floor') request.session.cookie.maxAge = FLOOR_SIGNED_IN_MS;
    if (until) request.session.cookie.maxAge = until.getTime() - Date.now();
    await new Promise<void>((done, fail) =>
      request.session.save((error) => (error ? fail(error as Error) : done())),
    );
    return this.me(signedIn);
  }

  async out(request: Request): Promise<MeReply> {
    await new Promise<void>((done) => request.session.destroy(() => done()));
    return this.me(null);
  }

  private account(clubId: string, id: string): Promise<Account> {
    return this.em.fork().findOneOrFail(Account, { clubId, id });
  }
}

export const identityOf = ({ clubId, id, role, name, athleteIds }: Account): Identity => ({
  ...{ clubId, role, name, accountId: id },
  athleteIds: role === 'athlete' ? athleteIds : null,
});
