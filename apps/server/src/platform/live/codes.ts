import { LRUCache } from 'lru-cache';

/** New codes per minute from one address: enough for many halls, too few for a search. */
const MOST_A_MINUTE = 20;
const MINUTE_MS = 60_000;
const LONGEST_WAIT_MS = 60 * MINUTE_MS;
const MOST_ADDRESSES = 10_000;

interface Tries {
  readonly rooms: Set<string>;
  readonly sinceMs: number;
  /** Until then every attempt is refused; each wait is longer than the last. */
  readonly closedUntilMs: number;
  readonly waitMs: number;
}

/** Limits how fast an address can try room codes: after too many different ones it has to wait, longer each time. */
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
