import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { DeviceReply } from '@orthokin/contract';
import { callerNow, type SignedIn } from '../../platform/auth/caller.js';
import { Sessions } from '../../platform/auth/sessions.js';
import { unknown } from '../../platform/http/refusals.js';

/** Devices signed in to a club. Owners see all of them, others their own. */
@Injectable()
export class DevicesService {
  constructor(
    private readonly em: EntityManager,
    private readonly sessions: Sessions,
  ) {}

  async of(clubId: string): Promise<DeviceReply[]> {
    const { signedIn } = callerNow();
    return (await this.seen(clubId)).map(({ deviceId, name, role, device, since }) => ({
      ...{ id: deviceId, name, role, device, since },
      isThis: deviceId === signedIn?.deviceId,
    }));
  }

  async end(clubId: string, deviceId: string): Promise<void> {
    const seen = await this.seen(clubId);
    if (!seen.some((each) => each.deviceId === deviceId))
      throw unknown('deviceId', deviceId, 'a device');
    await this.endWhere(clubId, 'deviceId', deviceId);
  }

  /** Signs out all devices of an account that was deleted or changed its rights. */
  endOfAccount(clubId: string, accountId: string): Promise<void> {
    return this.endWhere(clubId, 'accountId', accountId);
  }

  private async endWhere(
    clubId: string,
    field: 'deviceId' | 'accountId',
    value: string,
  ): Promise<void> {
    await this.em.execute(
      `delete from web_session
       where sess #>> '{signedIn,clubId}' = ? and sess #>> '{signedIn,${field}}' = ?`,
      [clubId, value],
    );
    this.sessions.readAnew();
  }

  private async seen(clubId: string): Promise<SignedIn[]> {
    const { role, signedIn } = callerNow();
    const rows = await this.em.execute<{ signed_in: SignedIn }[]>(
      `select sess -> 'signedIn' as signed_in from web_session
       where sess #>> '{signedIn,clubId}' = ? and expire > now()
       order by sess #>> '{signedIn,since}' desc`,
      [clubId],
    );
    const all = rows.map(({ signed_in }) => signed_in);
    if (role === 'owner') return all;
    const isOwn = ({ deviceId, accountId }: SignedIn) =>
      deviceId === signedIn?.deviceId || (accountId !== null && accountId === signedIn?.accountId);
    return all.filter(isOwn);
  }
}
