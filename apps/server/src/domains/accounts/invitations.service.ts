import { createHash, randomBytes } from 'node:crypto';
import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable } from '@nestjs/common';
import type { AcceptBody, InvitationBody, InvitationReply, InvitedReply } from '@orthokin/contract';
import { wrong } from '@orthokin/core/result';
import { withinClub } from '../../platform/auth/scope.js';
import { callerNow, type SignedIn } from '../../platform/auth/caller.js';
import { accepted, refuseWith, unknown } from '../../platform/http/refusals.js';
import { Outbox } from '../../platform/mail/outbox.js';
import { AthletesService } from '../athletes/athletes.service.js';
import { Passkey } from './passkey.entity.js';
import { Account } from './account.entity.js';
import { AccountsService } from './accounts.service.js';
import { Invitation } from './invitation.entity.js';
import { identityOf } from './sign-in.service.js';

const DAY_MS = 24 * 60 * 60 * 1000;
const TOKEN_BYTES = 32;

const hashOf = (token: string): string => createHash('sha256').update(token).digest('base64url');

/** What an invitation without an account gives access to, and until when. */
export interface LetIn {
  readonly who: Pick<SignedIn, 'clubId' | 'role' | 'name' | 'accountId' | 'athleteIds'>;
  readonly until?: Date;
}

/** Invitations: one for an account works once, one for a device until it expires. */
@Injectable()
export class InvitationsService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly accounts: AccountsService,
    private readonly outbox: Outbox,
  ) {}

  async of(clubId: string): Promise<InvitationReply[]> {
    const open = await this.em
      .fork()
      .find(Invitation, { clubId, until: { $gt: new Date() } }, { orderBy: { until: 'asc' } });
    return open.map(invitationReply);
  }

  /** Creates an invitation and returns its link, which is not shown again; also mailed if there is an address. */
  async invite(clubId: string, id: string, body: InvitationBody): Promise<InvitationReply> {
    const { name, role, athleteIds, accountId, days, email } = body;
    const isAthletes = role === 'athlete' && accountId === null;
    // A coach may invite an athlete's device; other invitations and passwords are for owners.
    if (callerNow().role !== 'owner' && !isAthletes)
      throw refuseWith(HttpStatus.FORBIDDEN, [
        {
          field: 'role',
          given: role,
          allowed: 'athlete, without an account, to be invited by a coach',
        },
      ]);
    if (role === 'athlete' && athleteIds.length === 0)
      accepted(wrong('athleteIds', 'nobody', 'the athletes whose things are to be seen'));
    await this.athletes.checkNamed(clubId, athleteIds);
    const em = this.em.fork();
    await this.accounts.refuseWithoutOwner(clubId);
    if (accountId !== null && (await em.count(Account, { clubId, id: accountId })) === 0)
      throw unknown('accountId', accountId, 'an account');
    if ((await em.count(Invitation, { clubId, id })) > 0)
      accepted(wrong('invitationId', id, 'an id of its own: a link is told only once'));
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    const invitation = em.create(Invitation, {
      ...{ clubId, id, name, role, athleteIds, accountId, tokenHash: hashOf(token) },
      until: new Date(Date.now() + days * DAY_MS),
    });
    await em.persist(invitation).flush();
    if (email !== null)
      await this.outbox.send({
        ...{ to: email, subject: await this.accounts.clubName(clubId) },
        text: `${name}: ${this.outbox.address}/invited#${token}`,
      });
    return { ...invitationReply(invitation), token, address: this.outbox.address };
  }

  async end(clubId: string, id: string): Promise<void> {
    if ((await this.em.fork().nativeDelete(Invitation, { clubId, id })) === 0)
      throw unknown('invitationId', id, 'an invitation');
  }

  /** What a link is for. */
  async behind(token: string): Promise<InvitedReply> {
    const { clubId, name, role, accountId, until } = await this.found(token);
    return withinClub(clubId, async () => {
      const club = await this.accounts.clubName(clubId);
      const resets = accountId && (await this.accounts.emailOf(clubId, accountId));
      return { club, name, role, resets, until: until.toISOString() };
    });
  }

  /**
   * Accepts an invitation. One for an account is used up; one for an athlete lets further devices in until it
   * expires.
   */
  async accept({ token, account }: AcceptBody): Promise<LetIn> {
    const invitation = await this.found(token);
    const { clubId, id, role, name, athleteIds, accountId, until } = invitation;
    return withinClub(clubId, async () => {
      if (account === null) {
        if (role !== 'athlete' || accountId !== null)
          accepted(wrong('account', 'none', 'a name, an address and a password'));
        return { who: { clubId, role, name, accountId: null, athleteIds }, until };
      }
      const own = await this.em.fork().transactional(async (em) => {
        // Of two simultaneous requests only one deletes the row.
        if ((await em.nativeDelete(Invitation, { clubId, id })) === 0) throw usedUp();
        if (accountId === null) return this.accounts.add(em, clubId, account, { role, athleteIds });
        // Somebody who needs a new password may have lost the device with the passkey.
        await em.nativeDelete(Passkey, { clubId, accountId });
        return this.accounts.setPassword(em, clubId, accountId, account.password);
      });
      return { who: identityOf(own) };
    });
  }

  private async found(token: string): Promise<Invitation> {
    const [row] = await this.em.execute<{ club_id: string; id: string }[]>(
      `select club_id, id from invitation_with_token(?)`,
      [hashOf(token)],
    );
    const found =
      row &&
      (await withinClub(row.club_id, () =>
        this.em.fork().findOne(Invitation, { clubId: row.club_id, id: row.id }),
      ));
    if (!found) throw usedUp();
    return found;
  }
}

const usedUp = () =>
  refuseWith(HttpStatus.NOT_FOUND, [
    {
      field: 'token',
      given: 'a link that is used up or too old',
      allowed: 'a new one; ask for it',
    },
  ]);

const invitationReply = (row: Invitation): InvitationReply => {
  const { id, name, role, athleteIds, accountId, until } = row;
  return { id, name, role, athleteIds, accountId, until: until.toISOString() };
};
