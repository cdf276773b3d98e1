import { LRUCache } from 'lru-cache';

/** Other codes than those joined before, from one address in a minute: many halls, but no search. */
const MOST_A_MINUTE = 20;
const MINUTE_MS = 60_000;
const LONGEST_WAIT_MS = 60 * MINUTE_MS;
const MOST_ADDRESSES = 10_000;

interface Tries {
  readonly rooms: Set<string>;
  readonly sinceMs: number;
  /** Nothing is let in before; each wait is longer than the one before. */
  readonly closedUntilMs: number;
  readonly waitMs: number;
}

/** How many codes of rooms come from an address: whoever tries code after code waits, longer and longer. */
export class Codes {
  private readonly tries = new LRUCache<string, Tries>({
    max: MOST_ADDRESSES,
    ttl: 2 * LONGEST_WAIT_MS,
  });

  mayTry(address: string, room: string, nowMs = Date.now()): boolean {
    const before = this.tries.get(address);
    if (before && nowMs < before.closedUntilMs) return before.rooms.has(room);
    const isFresh = !before || before.closedUntilMs > 0 || nowMs - before.sinceMs > MINUTE_MS;
    const rooms = isFresh ? new Set<string>() : before.rooms;
    const sinceMs = isFresh ? nowMs : before.sinceMs;
    const waitMs = before?.waitMs ?? MINUTE_MS;
    if (rooms.has(room) || rooms.size < MOST_A_MINUTE) {
      rooms.add(room);
      this.tries.set(address, { rooms, sinceMs, closedUntilMs: 0, waitMs });
      return true;
    }
    this.tries.set(address, {
      ...{ rooms, sinceMs, closedUntilMs: nowMs + waitMs },
      waitMs: Math.min(LONGEST_WAIT_MS, 2 * waitMs),
    });
    return false;
  }
}
