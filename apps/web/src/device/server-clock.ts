import { localDay } from './local-day.js';

/** Closer than this two clocks count as the same: the answer itself takes a moment. */
const SAME_MS = 2 * 60_000;
/** A new reading this close to the last one says nothing new: what was sent is sent again the same. */
const STEADY_MS = 30_000;
const KEY = 'orthokin.clock-offset-ms';

const kept = (): number => {
  try {
    return Number(localStorage.getItem(KEY) ?? 0);
  } catch {
    return 0;
  }
};

let offsetMs = kept();
const listeners = new Set<() => void>();

/** How far the server's clock is ahead of this device's, ms; 0 while they agree. */
export const serverAheadMs = (): number => offsetMs;

export const onServerClock = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Hears the server's time of day from a reply's `Date` header. */
export function hearServerTime(date: string | null, nowMs = Date.now()): void {
  const at = date === null ? NaN : Date.parse(date);
  if (Number.isNaN(at)) return;
  const found = Math.abs(at - nowMs) < SAME_MS ? 0 : at - nowMs;
  if (found === offsetMs || (found !== 0 && Math.abs(found - offsetMs) < STEADY_MS)) return;
  offsetMs = found;
  try {
    localStorage.setItem(KEY, String(found));
  } catch {
    // Without room it is found out again.
  }
  for (const listener of listeners) listener();
}

/** Moments that a device says of what it sends. */
const MOMENTS = ['startedAt', 'endedAt', 'movedAt', 'savedAt', 'writtenAt', 'at'];

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What is sent, its moments by the server's clock where this device's is off. */
export function setRight(body: unknown, aheadMs = offsetMs): unknown {
  if (aheadMs === 0 || !isObject(body)) return body;
  const right: Record<string, unknown> = { ...body };
  for (const name of MOMENTS) {
    const said = right[name];
    if (typeof said === 'string') right[name] = new Date(Date.parse(said) + aheadMs).toISOString();
  }
  if (isObject(right['corrected'])) right['corrected'] = setRight(right['corrected'], aheadMs);
  if (typeof right['day'] === 'string' && typeof right['startedAt'] === 'string')
    right['day'] = localDay(new Date(right['startedAt']));
  return right;
}
