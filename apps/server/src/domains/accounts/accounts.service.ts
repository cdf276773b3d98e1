import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable } from '@nestjs/common';
import type { AccountBody, AccountReply, OwnerBody, PasswordBody } from '@orthokin/contract';
import { v7 } from 'uuid';
import { withinClub } from '../../platform/auth/scope.js';
import { conflict, refuseWith, unknown } from '../../platform/http/refusals.js';
import { AthletesService } from '../athletes/athletes.service.js';
import { Club } from '../clubs/club.entity.js';
import { Account } from './account.entity.js';
import { DevicesService } from './devices.service.js';
import { OwnedClubsService } from './owned-clubs.service.js';
import { hashPassword, isRight } from './passwords.js';

/** A club's accounts. */
@Injectable()
export class AccountsService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly devices: DevicesService,
    private readonly owned: OwnedClubsService,
  ) {}

  async of(clubId: string): Promise<AccountReply[]> {
    const accounts = await this.em.fork().find(Account, { clubId }, { orderBy: { name: 'asc' } });
    const known = await this.athletes.among(
      clubId,
      accounts.flatMap(({ athleteIds }) => athleteIds),
    );
    return accounts.map(({ id, name, email, role, athleteIds }) => ({
      ...{ id, name, email, role },
      athleteIds: athleteIds.filter((athleteId) => known.has(athleteId)),
    }));
  }

  /** Makes somebody the owner of a club that has none yet. */
  async firstOwner(clubId: string, body: OwnerBody): Promise<Account> {
    const owner = await this.em.fork().transactional(async (em) => {
      // Locks the club: of two simultaneous requests the second sees the first one's owner.
      const club = await em.execute(`select from club where club_id = ? for update`, [clubId]);
      if (club.length === 0) throw unknown('clubId', clubId, 'a club');
      if ((await em.count(Account, { clubId, role: 'owner' })) > 0)
        throw conflict('owner', 'another one', 'the one there is; sign in, or be invited');
      return this.add(em, clubId, body, { role: 'owner', athleteIds: [] });
    });
    this.owned.forget(clubId);
    return owner;
  }

  /** Adds an account; refused if the server has one with that address. */
  async add(
    em: EntityManager,
    clubId: string,
    { name, email, password }: OwnerBody,
    { role, athleteIds }: AccountBody,
  ): Promise<Account> {
    const whom = email.trim().toLowerCase();
    const account = em.create(Account, {
      ...{ clubId, id: v7(), name, email: whom, role, athleteIds, madeAt: new Date() },
      passwordHash: await hashPassword(password, whom),
    });
    await em.persist(account).flush();
    return account;
  }

  async save(clubId: string, id: string, { role, athleteIds }: AccountBody): Promise<AccountReply> {
    await this.athletes.checkNamed(clubId, athleteIds);
    await this.keepingAnOwner(clubId, async (em) => {
      const account = await this.one(em, clubId, id);
      em.assign(account, { role, athleteIds });
      await em.flush();
    });
    // A device's session contains its rights, so changing them signs it out.
    await this.devices.endOfAccount(clubId, id);
    const [saved] = (await this.of(clubId)).filter((each) => each.id === id);
    if (!saved) throw unknown('accountId', id, 'an account');
    return saved;
  }

  async end(clubId: string, id: string): Promise<void> {
    await this.keepingAnOwner(clubId, async (em) => {
      em.remove(await this.one(em, clubId, id));
      await em.flush();
    });
    await this.devices.endOfAccount(clubId, id);
  }

  /** Changes a password and signs out the account's other devices. */
  async setPassword(
    em: EntityManager,
    clubId: string,
    id: string,
    password: string,
  ): Promise<Account> {
    const account = await this.one(em, clubId, id);
    account.passwordHash = await hashPassword(password, account.email);
    await em.flush();
    await this.devices.endOfAccount(clubId, id);
    return account;
  }

  async changePassword(
    clubId: string,
    id: string,
    { before, password }: PasswordBody,
  ): Promise<Account> {
    return withinClub(clubId, async () => {
      const em = this.em.fork();
      const account = await this.one(em, clubId, id);
      if (!(await isRight(before, account.passwordHash)))
        throw refuseWith(HttpStatus.BAD_REQUEST, [
          { field: 'before', given: 'another one', allowed: 'the password you have' },
        ]);
      return this.setPassword(em, clubId, id, password);
    });
  }

  async emailOf(clubId: string, id: string): Promise<string> {
    return (await this.one(this.em.fork(), clubId, id)).email;
  }

  private async one(em: EntityManager, clubId: string, id: string): Promise<Account> {
    const account = await em.findOne(Account, { clubId, id });
    if (!account) throw unknown('accountId', id, 'an account');
    return account;
  }

  /** Changes accounts, unless that would leave the club without an owner. */
  private async keepingAnOwner(
    clubId: string,
    change: (em: EntityManager) => Promise<void>,
  ): Promise<void> {
    await this.em.fork().transactional(async (em) => {
      await em.execute(`select from club where club_id = ? for update`, [clubId]);
      await change(em);
      if ((await em.count(Account, { clubId, role: 'owner' })) === 0)
        throw conflict('role', 'no owner', 'at least one owner; make somebody else one first');
    });
  }

  /**
   * A club needs an owner before anybody else can be invited; until then it belongs to whoever is at this machine.
   */
  async refuseWithoutOwner(clubId: string): Promise<void> {
    if ((await this.em.fork().count(Account, { clubId, role: 'owner' })) === 0)
      throw conflict('owner', 'none yet', 'an owner first');
  }

  /** A club's name. */
  async clubName(clubId: string): Promise<string> {
    return (await this.em.fork().findOneOrFail(Club, { clubId })).name;
  }
}
