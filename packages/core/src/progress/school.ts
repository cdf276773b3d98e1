import { mean } from '../numeric/index.js';
import type { Conditions } from '../drill/index.js';
import type { Doing, Pressure, Rung, RungOrder } from '../pattern/index.js';

/** A rung's complexity: everything but its speed. */
export interface Richness {
  /** Share of the targets in play, 0–1. */
  readonly share: number;
  readonly order: RungOrder;
  readonly doing: Doing;
  readonly pressure: Pressure;
  readonly catchShare: number;
  readonly switchShare: number;
}

/** A school's levels of complexity, and its default gates. */
export interface School {
  /** From simple to complex. */
  readonly levels: readonly Richness[];
  readonly gates: Pick<Rung, 'passShare' | 'cleanShare'>;
}

const level = (
  share: number,
  order: RungOrder,
  doing: Doing,
  trials: Partial<Pick<Richness, 'pressure' | 'catchShare' | 'switchShare'>> = {},
): Richness => ({
  ...{ share, order, doing, pressure: 'none', catchShare: 0, switchShare: 0 },
  ...trials,
});

const LIVE = level(1, 'chained', 'live', {
  pressure: 'one opponent',
  catchShare: 0.1,
  switchShare: 0.1,
});

/** Schools differ in the order in which form and reading the cue are learnt. */
export const SCHOOLS = {
  'pattern first': {
    levels: [
      level(0.5, 'known', 'feet only'),
      level(1, 'known', 'feet only'),
      level(1, 'shuffled', 'feet only'),
      level(1, 'shuffled', 'implement'),
      level(1, 'chained', 'fed', { catchShare: 0.1, switchShare: 0.1 }),
      LIVE,
    ],
    gates: { passShare: 0.8, cleanShare: 0.8 },
  },
  'reading first': {
    levels: [
      level(0.5, 'shuffled', 'feet only'),
      level(1, 'shuffled', 'feet only', { catchShare: 0.1 }),
      level(1, 'chained', 'implement', { catchShare: 0.1 }),
      level(1, 'chained', 'fed', { catchShare: 0.1, switchShare: 0.1 }),
      LIVE,
    ],
    // This school expects less tidy reps at first.
    gates: { passShare: 0.8, cleanShare: 0.7 },
  },
} as const satisfies Record<string, School>;

export type SchoolName = keyof typeof SCHOOLS;
/** Their names, as they are offered. */
export const SCHOOL_NAMES = Object.keys(SCHOOLS) as SchoolName[];

/** How hard a set should be, and what rest is for. */
export const EFFORTS = {
  quality: { restRatio: 2, stakes: { lossCost: null, endsOnFaults: true } },
  pressure: { restRatio: 1, stakes: { lossCost: { reps: 1, most: 5 }, endsOnFaults: false } },
} as const satisfies Record<
  string,
  { restRatio: number; stakes: Pick<Conditions, 'lossCost' | 'endsOnFaults'> }
>;

export type EffortName = keyof typeof EFFORTS;
/** Their names, as they are offered. */
export const EFFORT_NAMES = Object.keys(EFFORTS) as EffortName[];

/** The share of lost reps at which the demand is right. */
export const RIGHT_MISS_RATE = 0.2;
/** The share of lost reps below which the demand is too easy. */
export const EASY_MISS_RATE = 0.05;
/** Demand is high above this multiple of the right share. */
const MUCH = 1.5;
/** Fewer reps say nothing about the demand. */
const FEWEST_REPS = 20;

/** Verdicts on the demand. */
export type Demand = 'too easy' | 'about right' | 'much asked';

/**
 * What the share of lost reps says of the demand (challenge point: Guadagnoli & Lee 2004), from each
 * rep's chance to have passed, 0–1; `null` with too few reps to say.
 */
export function demandOf(
  chances: readonly number[],
): { readonly demand: Demand; readonly missed: number } | null {
  if (chances.length < FEWEST_REPS) return null;
  const missed = 1 - mean(chances);
  if (missed < EASY_MISS_RATE) return { demand: 'too easy', missed };
  return { demand: missed <= MUCH * RIGHT_MISS_RATE ? 'about right' : 'much asked', missed };
}
