import { localDay } from './local-day.js';

/** Clocks closer than this count as equal: the reply itself takes a moment. */
const SAME_MS = 2 * 60_000;
/** A new offset this close to the last is ignored, so that requests sent again stay identical. */
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

/** How far the server's clock is ahead of this device's, ms; 0 if they agree. */
export const serverAheadMs = (): number => offsetMs;

export const onServerClock = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Reads the server's time from a reply's `Date` header. */
export function hearServerTime(date: string | null, nowMs = Date.now()): void {
  const at = date === null ? NaN : Date.parse(date);
  if (Number.isNaN(at)) return;
  const found = Math.abs(at - nowMs) < SAME_MS ? 0 : at - nowMs;
  if (found === offsetMs || (found !== 0 && Math.abs(found - offsetMs) < STEADY_MS)) return;
  offsetMs = found;
  try {
    localStorage.setItem(KEY, String(found));
  } catch {
    // Without storage it will be measured again.
  }
  for (const listener of listeners) listener();
}

/** Request fields with this device's times. */
const MOMENTS = ['startedAt', 'endedAt', 'movedAt', 'savedAt', 'writtenAt', 'at'];

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A request with its times converted to the server's clock, if this device's is wrong. */
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
