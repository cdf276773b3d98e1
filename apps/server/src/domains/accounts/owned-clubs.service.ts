import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { LRUCache } from 'lru-cache';
import { withinClub } from '../../platform/auth/scope.js';

const MOST_KNOWN = 10_000;
/** A page asks several things at once: they need not each be answered by the database. */
const KNOWN_MS = 1000;

/**
 * Which clubs have an owner. Asked of the database once a second at most: a club that gets its owner at
 * another server is open so much longer, to whoever sits at this machine.
 */
@Injectable()
export class OwnedClubsService {
  private readonly known = new LRUCache<string, boolean>({ max: MOST_KNOWN, ttl: KNOWN_MS });

  constructor(private readonly em: EntityManager) {}

  async has(clubId: string): Promise<boolean> {
    const known = this.known.get(clubId);
    if (known !== undefined) return known;
    // In the scope of what is likely asked next, on the same connection.
    const [row] = await withinClub(clubId, () =>
      this.em.fork().execute<{ has: boolean }[]>(`select has_owner(?) as has`, [clubId]),
    );
    const has = row?.has ?? true;
    this.known.set(clubId, has);
    return has;
  }

  /** A club has just got its owner here. */
  forget(clubId: string): void {
    this.known.delete(clubId);
  }
}
