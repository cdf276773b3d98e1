import { EntityManager } from '@mikro-orm/postgresql';
import { Inject, Injectable } from '@nestjs/common';
import type { GatewaysBody, GatewaysReply } from '@orthokin/contract';
import { withinClub } from '../../platform/auth/scope.js';
import { Club } from './club.entity.js';

/** Gateways that whoever started the server named, for every club of it. */
export const ALWAYS = Symbol('gateways of every club');

/** To which gateways of beacons the pages of a club may connect. */
@Injectable()
export class GatewaysService {
  constructor(
    private readonly em: EntityManager,
    @Inject(ALWAYS) private readonly always: readonly string[],
  ) {}

  async of(clubId: string): Promise<GatewaysReply> {
    const club = await this.em.fork().findOneOrFail(Club, { clubId }, { fields: ['gateways'] });
    return { addresses: club.gateways, always: [...this.always] };
  }

  /** What was said last stands: a list is short, and whoever changes it sees all of it. */
  async save(clubId: string, { addresses }: GatewaysBody): Promise<GatewaysReply> {
    await this.em.nativeUpdate(Club, { clubId }, { gateways: addresses });
    return { addresses, always: [...this.always] };
  }

  /** Of several clubs together, for a page that does not say yet which of them it opens. */
  async ofAll(clubIds: readonly string[]): Promise<string[]> {
    const each = await Promise.all(clubIds.map((id) => withinClub(id, () => this.of(id))));
    return [...new Set([...this.always, ...each.flatMap(({ addresses }) => addresses)])];
  }
}
