/** Body lengths that determine footwork, m. */
export interface BodyLengths {
  readonly shoulderM: number;
  readonly hipM: number;
  /** From the shoulder to the fingertips, without implement. */
  readonly armM: number;
}

/** Plausible bounds, m: from a small child to the tallest people. */
export const BODY_BOUNDS_M = {
  heightM: [0.8, 2.5],
  shoulderM: [0.15, 0.7],
  hipM: [0.12, 0.6],
  reachM: [0.3, 2.5],
} as const satisfies Record<string, readonly [least: number, most: number]>;
export type BodyLength = keyof typeof BODY_BOUNDS_M;

/**
 * Usual lengths for a height: shares of it in adults, off by some 5 % for a single person. To be used,
 * and called an estimate, where nobody has measured.
 * Source: Drillis & Contini 1966, Body Segment Parameters.
 * @param heightM m
 * @example usualLengths(1.7) // { shoulderM: 0.44, hipM: 0.32, armM: 0.75 }
 */
export function usualLengths(heightM: number): BodyLengths {
  const share = (of: number): number => Math.round(100 * of * heightM) / 100;
  return { shoulderM: share(0.259), hipM: share(0.191), armM: share(0.44) };
}
