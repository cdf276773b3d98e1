import { leastSquares } from '../numeric/index.js';
import { ok, wrong, type Result } from '../result/index.js';

/** Reaction time by bits of choice (Hick's law): intercept + slope · log2(targets in play). */
export interface HickLine {
  readonly n: number;
  /** Reaction without a choice, ms. */
  readonly interceptMs: number;
  readonly msPerBit: number;
  /** Standard error of the slope, ms per bit. */
  readonly slopeSe: number;
  readonly r2: number;
}

const FEWEST_LEVELS = 3;
/** The cost of a bit while the athlete's own slope is unknown, ms (Hick 1952). */
export const USUAL_MS_PER_BIT = 100;

/** The line through reactions (ms) to `choices` targets each; at least three different numbers of them (Hick 1952, Hyman 1953). */
export function hickLine(
  choices: readonly number[],
  reactionsMs: readonly number[],
): Result<HickLine> {
  const levels = new Set(choices).size;
  if (levels < FEWEST_LEVELS)
    return wrong('choices', levels, `at least ${FEWEST_LEVELS} different numbers of targets`);
  const { intercept, slope, slopeSe, r2 } = leastSquares(choices.map(Math.log2), reactionsMs);
  return ok({ n: choices.length, interceptMs: intercept, msPerBit: slope, slopeSe, r2 });
}
