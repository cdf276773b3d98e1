import { EntityManager } from '@mikro-orm/postgresql';
import { Inject, Injectable } from '@nestjs/common';
import type { GatewaysBody, GatewaysReply } from '@orthokin/contract';
import { withinClub } from '../../platform/auth/scope.js';
import { Club } from './club.entity.js';

/** Injection token: gateways from the server's settings, allowed for every club. */
export const ALWAYS = Symbol('gateways of every club');

/** The beacon gateways a club's pages may connect to. */
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

  /** The last request wins: the list is short, and whoever edits it sees all of it. */
  async save(clubId: string, { addresses }: GatewaysBody): Promise<GatewaysReply> {
    await this.em.nativeUpdate(Club, { clubId }, { gateways: addresses });
    return { addresses, always: [...this.always] };
  }

  /** Of several clubs together, for a page opened before a club is chosen. */
  async ofAll(clubIds: readonly string[]): Promise<string[]> {
    const each = await Promise.all(clubIds.map((id) => withinClub(id, () => this.of(id))));
    return [...new Set([...this.always, ...each.flatMap(({ addresses }) => addresses)])];
  }
}
