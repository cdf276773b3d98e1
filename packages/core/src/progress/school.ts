import { mean } from '../numeric/index.js';
import type { Conditions } from '../drill/index.js';
import type { Doing, Pressure, Rung, RungOrder } from '../pattern/index.js';

/** How rich a rung is: everything but how fast. */
export interface Richness {
  /** Share of the targets in play, 0–1. */
  readonly share: number;
  readonly order: RungOrder;
  readonly doing: Doing;
  readonly pressure: Pressure;
  readonly catchShare: number;
  readonly switchShare: number;
}

/** A school's levels, and what it asks of a set. */
export interface School {
  /** From plain to rich. */
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

/** In which order form and reading are learnt. */
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
    // Less tidy at first is what this school expects.
    gates: { passShare: 0.8, cleanShare: 0.7 },
  },
} as const satisfies Record<string, School>;

export type SchoolName = keyof typeof SCHOOLS;
/** Their names, as they are offered. */
export const SCHOOL_NAMES = Object.keys(SCHOOLS) as SchoolName[];

/** How hard a set is meant to be, and what a rest is for. */
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

/** Share of reps lost at which the demand is right, and under which it is too easy. */
export const RIGHT_MISS_RATE = 0.2;
/** Share of reps lost under which the demand is too easy. */
export const EASY_MISS_RATE = 0.05;
/** Over so many times the right rate the demand is much. */
const MUCH = 1.5;
/** From so few reps on nothing is said of the demand. */
const FEWEST_REPS = 20;

/** What the share of lost reps says. */
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
