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

export interface School {
  readonly reasoning: string;
  readonly risk: string;
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
    reasoning:
      'Rehearse the positions in a known order until they are clean, then cue them, then mix them. Form is steady early.',
    risk: 'The athlete learns the order, not the reading.',
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
    reasoning:
      'Cues that cannot be guessed from the first session on; form is shaped by the task. Carries over better to play.',
    risk: 'The first sets are slower and less tidy, and look like a step back.',
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
export const SCHOOL_NAMES = Object.keys(SCHOOLS) as SchoolName[];

/** How hard a set is meant to be, and what a rest is for. */
export const EFFORTS = {
  quality: {
    restRatio: 2,
    reasoning: 'Twice the work as rest or more; stop the set when technique goes.',
  },
  pressure: {
    restRatio: 1,
    reasoning: 'As much rest as work or less; a missed rep adds reps.',
  },
} as const satisfies Record<string, { restRatio: number; reasoning: string }>;

export type EffortName = keyof typeof EFFORTS;
export const EFFORT_NAMES = Object.keys(EFFORTS) as EffortName[];

/** Share of reps lost at which the demand is right, and under which it is too easy. */
export const RIGHT_MISS_RATE = 0.2;
export const EASY_MISS_RATE = 0.05;
