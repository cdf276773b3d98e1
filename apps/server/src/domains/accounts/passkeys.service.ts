import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable } from '@nestjs/common';
import type {
  MeReply,
  NewPasskeyReply,
  PasskeyAnswerBody,
  PasskeyBody,
  PasskeyQuestionReply,
  PasskeyReply,
} from '@orthokin/contract';
import { wrong } from '@orthokin/core/result';
import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
} from '@simplewebauthn/server';
import type { Request } from 'express';
import { v7 } from 'uuid';
import { callerNow } from '../../platform/auth/caller.js';
import { withinClub } from '../../platform/auth/scope.js';
import { answerTo, ask } from '../../platform/auth/challenge.js';
import { accepted, conflict, refuseWith, unknown } from '../../platform/http/refusals.js';
import { Account } from './account.entity.js';
import { Passkey } from './passkey.entity.js';
import { identityOf, SignInService } from './sign-in.service.js';

/** The name browsers show in the passkey dialog. */
const RP_NAME = 'Orthokin';
const MOST_PASSKEYS = 20;

/** A passkey found by its credential id. */
interface FoundPasskey {
  readonly club_id: string;
  readonly id: string;
  readonly account_id: string;
  readonly public_key: string;
  readonly counter: string;
}

interface Own {
  readonly clubId: string;
  readonly accountId: string;
}

const NOT_RIGHT = {
  field: 'passkey',
  given: 'one that does not fit',
  allowed: 'one of an account here, answered at once',
} as const;

/** Passkeys (WebAuthn): signing in with a key on the device, unlocked by a finger, a face or a PIN. */
@Injectable()
export class PasskeysService {
  constructor(
    private readonly em: EntityManager,
    private readonly signIns: SignInService,
  ) {}

  /** Starts registering a passkey for the signed-in account. */
  async askForNew(request: Request): Promise<NewPasskeyReply> {
    const own = ownAccount();
    const [account, has] = await Promise.all([this.account(own), this.of(own)]);
    const { hostname } = pageOf(request);
    const options = await generateRegistrationOptions({
      ...{ rpName: RP_NAME, rpID: hostname, userName: account.email },
    });
    await ask(request, options.challenge);
    return {
      ...{ challenge: options.challenge, rpId: hostname, userName: account.email },
      // The account's id: a device then replaces its passkey for this account instead of adding another.
      userId: Buffer.from(account.id).toString('base64url'),
      has: has.map(({ credentialId }) => credentialId),
    };
  }

  /** Finishes registering a passkey. */
  async add(request: Request, body: PasskeyBody): Promise<PasskeyReply> {
    const own = ownAccount();
    const { name, credentialId, clientDataJSON, attestationObject } = body;
    const { origin, hostname } = pageOf(request);
    const expectedChallenge = await answerTo(request);
    const verified = await verifyRegistrationResponse({
      response: {
        ...{ id: credentialId, rawId: credentialId, type: 'public-key' },
        ...{ response: { clientDataJSON, attestationObject }, clientExtensionResults: {} },
      },
      ...{ expectedChallenge, expectedOrigin: origin, expectedRPID: hostname },
    }).catch(() => null);
    if (!verified?.verified) throw refuseWith(HttpStatus.BAD_REQUEST, [NOT_RIGHT]);
    const { credential } = verified.registrationInfo;
    return withinClub(own.clubId, async () => {
      if ((await this.of(own)).length >= MOST_PASSKEYS)
        throw conflict('passkey', 'one more', `at most ${MOST_PASSKEYS}: remove one first`);
      const em = this.em.fork();
      const passkey = em.create(Passkey, {
        ...{ ...own, id: v7(), name, madeAt: new Date() },
        ...{ credentialId: credential.id, counter: credential.counter },
        publicKey: Buffer.from(credential.publicKey).toString('base64url'),
      });
      await em.persist(passkey).flush();
      return passkeyReply(passkey);
    });
  }

  async all(): Promise<PasskeyReply[]> {
    return (await this.of(ownAccount())).map(passkeyReply);
  }

  async remove(id: string): Promise<void> {
    const own = ownAccount();
    const gone = await withinClub(own.clubId, () =>
      this.em.fork().nativeDelete(Passkey, { ...own, id }),
    );
    if (gone === 0) throw unknown('passkeyId', id, 'a passkey of yours');
  }

  /** Starts signing in with any passkey of this server. */
  async askAny(request: Request): Promise<PasskeyQuestionReply> {
    const { hostname } = pageOf(request);
    const { challenge } = await generateAuthenticationOptions({ rpID: hostname });
    await ask(request, challenge);
    return { challenge, rpId: hostname };
  }

  /** Signs a device in with a passkey. The reply does not reveal whether the passkey exists. */
  async signIn(request: Request, body: PasskeyAnswerBody): Promise<MeReply> {
    const { credentialId, clientDataJSON, authenticatorData, signature } = body;
    const { origin, hostname } = pageOf(request);
    const expectedChallenge = await answerTo(request);
    const [found] = await this.em.execute<FoundPasskey[]>(
      `select club_id, id, account_id, public_key, counter from passkey_with_credential(?)`,
      [credentialId],
    );
    const verified =
      found &&
      (await verifyAuthenticationResponse({
        response: {
          ...{ id: credentialId, rawId: credentialId, type: 'public-key' },
          response: { clientDataJSON, authenticatorData, signature },
          clientExtensionResults: {},
        },
        ...{ expectedChallenge, expectedOrigin: origin, expectedRPID: hostname },
        credential: {
          ...{ id: credentialId, counter: Number(found.counter) },
          publicKey: new Uint8Array(Buffer.from(found.public_key, 'base64url')),
        },
      }).catch(() => null));
    if (!found || !verified?.verified) throw refuseWith(HttpStatus.UNAUTHORIZED, [NOT_RIGHT]);
    const { club_id: clubId, id, account_id: accountId } = found;
    const account = await withinClub(clubId, async () => {
      const { newCounter: counter } = verified.authenticationInfo;
      await this.em.fork().nativeUpdate(Passkey, { clubId, id }, { counter });
      return this.account({ clubId, accountId });
    });
    return this.signIns.as(request, identityOf(account));
  }

  private of(own: Own): Promise<Passkey[]> {
    return withinClub(own.clubId, () =>
      this.em.fork().find(Passkey, { ...own }, { orderBy: { madeAt: 'asc' } }),
    );
  }

  private account({ clubId, accountId }: Own): Promise<Account> {
    return withinClub(clubId, () =>
      this.em.fork().findOneOrFail(Account, { clubId, id: accountId }),
    );
  }
}

/**
 * The signed-in account.
 * @throws if there is none
 */
function ownAccount(): Own {
  const { signedIn } = callerNow();
  if (!signedIn?.accountId)
    return accepted(wrong('passkey', 'no account', 'to be signed in with a password'));
  return { clubId: signedIn.clubId, accountId: signedIn.accountId };
}

/** The URL of the asking page; that it is one of ours was checked by `Addresses`. */
function pageOf({ headers: { origin } }: Request): URL {
  if (origin === undefined || !URL.canParse(origin))
    return accepted(wrong('Origin', origin ?? 'nothing', 'a page of this server'));
  return new URL(origin);
}

const passkeyReply = ({ id, name, madeAt }: Passkey): PasskeyReply => ({
  ...{ id, name, madeAt: madeAt.toISOString() },
});
