import { wrong, type Result } from '../result/index.js';
import { uniform, type Random } from './random.js';

/**
 * `fixed`: always the least · `uniform` between least and most · `non-ageing`: exponential beyond
 * the least and cut at the most, so that having waited says nothing about how much longer
 * (Niemi & Näätänen 1981).
 */
export const FOREPERIOD_KINDS = ['fixed', 'uniform', 'non-ageing'] as const;

/** From ready (or home) to the cue. */
export interface Foreperiod {
  readonly kind: (typeof FOREPERIOD_KINDS)[number];
  readonly leastMs: number;
  readonly mostMs: number;
}

/** Nobody stays ready for longer. */
export const LONGEST_FOREPERIOD_MS = 60_000;

/** What is wrong with a foreperiod, or `null`. */
export function foreperiodProblem({ kind, leastMs, mostMs }: Foreperiod): Result<never> | null {
  if (!(leastMs >= 0 && leastMs <= LONGEST_FOREPERIOD_MS))
    return wrong('foreperiod.leastMs', leastMs, `0 to ${LONGEST_FOREPERIOD_MS} ms`);
  if (kind !== 'fixed' && !(mostMs >= leastMs && mostMs <= LONGEST_FOREPERIOD_MS))
    return wrong(
      'foreperiod.mostMs',
      mostMs,
      `not below the shortest (${leastMs} ms), at most ${LONGEST_FOREPERIOD_MS} ms`,
    );
  return null;
}

/** The exponential's mean as a share of the range: at the cut one wait in fifty would be left. */
const MEAN_SHARE = 1 / 4;

/** Mean of the foreperiods, ms. */
export function meanForeperiodMs({ kind, leastMs, mostMs }: Foreperiod): number {
  if (kind === 'fixed') return leastMs;
  if (kind === 'uniform') return (leastMs + mostMs) / 2;
  const left = Math.exp(-1 / MEAN_SHARE);
  return leastMs + (mostMs - leastMs) * (MEAN_SHARE - left / (1 - left));
}

/** One foreperiod, in whole ms. */
export function drawForeperiod({ kind, leastMs, mostMs }: Foreperiod, random: Random): number {
  const rangeMs = mostMs - leastMs;
  switch (kind) {
    case 'fixed':
      return Math.round(leastMs);
    case 'uniform':
      return Math.round(uniform(random, leastMs, mostMs));
    case 'non-ageing': {
      const kept = 1 - Math.exp(-1 / MEAN_SHARE);
      return Math.round(leastMs - rangeMs * MEAN_SHARE * Math.log(1 - random() * kept));
    }
  }
}
