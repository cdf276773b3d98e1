import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { LRUCache } from 'lru-cache';
import { withinClub } from '../../platform/auth/scope.js';

const MOST_KNOWN = 10_000;
/** How long an answer is cached: a page sends several requests at once. */
const KNOWN_MS = 1000;

/**
 * Which clubs have an owner, cached for a second. So a club that gets its owner on another server stays open to this
 * machine for up to a second longer.
 */
@Injectable()
export class OwnedClubsService {
  private readonly known = new LRUCache<string, boolean>({ max: MOST_KNOWN, ttl: KNOWN_MS });

  constructor(private readonly em: EntityManager) {}

  async has(clubId: string): Promise<boolean> {
    const known = this.known.get(clubId);
    if (known !== undefined) return known;
    // In the club's scope, so that the request's next query can reuse the connection without setting it again.
    const [row] = await withinClub(clubId, () =>
      this.em.fork().execute<{ has: boolean }[]>(`select has_owner(?) as has`, [clubId]),
    );
    const has = row?.has ?? true;
    this.known.set(clubId, has);
    return has;
  }

  /** Clears the cached answer after a club got its owner here. */
  forget(clubId: string): void {
    this.known.delete(clubId);
  }
}
