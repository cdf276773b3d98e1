/**
 * One question to another device and its answer, as in NTP (Mills et al. 2010, RFC 5905): `sent`
 * and `received` on our clock, `remoteReceived` and `remoteReplied` on the device's, ms.
 */
export interface ClockExchange {
  readonly sent: number;
  readonly remoteReceived: number;
  readonly remoteReplied: number;
  readonly received: number;
}

/** How another device's clock stands to ours, and how surely. */
export interface ClockMatch {
  /** Device time = our time + `offsetMs` + `drift` · (our time − `atMs`). */
  readonly offsetMs: number;
  readonly drift: number;
  readonly atMs: number;
  /** Sd of a device time turned into ours. */
  readonly sdMs: number;
}

interface Reading {
  readonly atMs: number;
  readonly offsetMs: number;
  /** Time on the way, there and back. */
  readonly delayMs: number;
}

const readingOf = ({ sent, remoteReceived, remoteReplied, received }: ClockExchange): Reading => ({
  atMs: (sent + received) / 2,
  offsetMs: (remoteReceived - sent + (remoteReplied - received)) / 2,
  delayMs: Math.max(0, received - sent - (remoteReplied - remoteReceived)),
});

/** What an exchange that took the least time may still be wrong by, ms. */
const FLOOR_MS = 0.5;
/** Cheap clocks drift by less than this; a steeper slope is noise. */
const MOST_DRIFT = 200e-6;
/** Before so much time has passed a slope cannot be told from noise, ms. */
const LEAST_SPAN_MS = 8000;

/**
 * Offset and drift from exchanges. One that was long on the way can be wrong by half the time it
 * took beyond the quickest, whichever way that went: each counts by the inverse square of that.
 * `null` when there is no exchange.
 */
export function matchClock(exchanges: readonly ClockExchange[]): ClockMatch | null {
  if (exchanges.length === 0) return null;
  const readings = exchanges.map(readingOf);
  const least = Math.min(...readings.map(({ delayMs }) => delayMs));
  const doubt = ({ delayMs }: Reading) => FLOOR_MS + (delayMs - least) / 2;
  const weights = readings.map((reading) => doubt(reading) ** -2);
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const weighted = (value: (reading: Reading) => number) =>
    readings.reduce((sum, reading, i) => sum + (weights[i] ?? 0) * value(reading), 0) / total;

  const atMs = weighted((reading) => reading.atMs);
  const offsetMs = weighted((reading) => reading.offsetMs);
  const spread = weighted((reading) => (reading.atMs - atMs) ** 2);
  const times = readings.map((reading) => reading.atMs);
  const span = Math.max(...times) - Math.min(...times);
  const slope =
    span >= LEAST_SPAN_MS && spread > 0
      ? weighted((reading) => (reading.atMs - atMs) * (reading.offsetMs - offsetMs)) / spread
      : 0;
  const drift = Math.max(-MOST_DRIFT, Math.min(MOST_DRIFT, slope));
  const scatter = weighted(
    (reading) => (reading.offsetMs - offsetMs - drift * (reading.atMs - atMs)) ** 2,
  );
  // The quickest exchange may have gone unevenly: up to half its way is unseen by any of them.
  const unseen = least / 2 / Math.sqrt(3);
  const fitted = Math.sqrt(scatter / Math.max(1, effectiveCount(weights)));
  return { offsetMs, drift, atMs, sdMs: Math.hypot(fitted, unseen, 1 / Math.sqrt(total)) };
}

/** How many equal readings these weights are worth (Kish 1965). */
const effectiveCount = (weights: readonly number[]): number =>
  weights.reduce((sum, weight) => sum + weight, 0) ** 2 /
  weights.reduce((sum, weight) => sum + weight ** 2, 0);

/** The device's time of a moment of ours. */
export const toRemote = ({ offsetMs, drift, atMs }: ClockMatch, local: number): number =>
  local + offsetMs + drift * (local - atMs);

/** Our time of a moment of the device's. */
export const toLocal = ({ offsetMs, drift, atMs }: ClockMatch, remote: number): number =>
  atMs + (remote - offsetMs - atMs) / (1 + drift);
