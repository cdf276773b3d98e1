/** An athlete as a rule sees them: their pass rate, and how it grows. */
export interface Learner {
  /** True pass rate at the first rep, 0–1. */
  readonly passRate: number;
  /** Share of the distance to `ceiling` that is learnt with each set; 0 for an athlete who does not change. */
  readonly learning: number;
  readonly ceiling: number;
}

/** An athlete with a constant pass rate. */
export const steady = (passRate: number): Learner => ({ passRate, learning: 0, ceiling: passRate });

/** How a rung is trained. */
export interface OutlookSettings {
  readonly repsPerSet: number;
  /** Number of reps that must pass for a set to pass. */
  readonly passesNeeded: number;
  readonly setsPerDay: number;
  /** Number of sets considered. */
  readonly withinSets: number;
  /** Athletes with a lower true pass rate are moved up too soon. */
  readonly readyRate: number;
}

/** Two sets a day of twelve reps, twenty sets. */
export const USUAL_OUTLOOK: OutlookSettings = {
  repsPerSet: 12,
  passesNeeded: 10,
  setsPerDay: 2,
  withinSets: 20,
  readyRate: 0.8,
};

/** True pass rates at which rules are compared. */
export const TRUE_RATES = [0.5, 0.55, 0.6, 0.65, 0.7, 0.75, 0.8, 0.85, 0.9, 0.95] as const;

/** The true pass rate in each set. */
export function ratesOf(
  { passRate, learning, ceiling }: Learner,
  { withinSets }: OutlookSettings,
): Float64Array {
  const missing = Math.max(0, ceiling - passRate);
  return Float64Array.from(
    { length: withinSets },
    (_, set) => passRate + missing * (1 - (1 - learning) ** set),
  );
}

/** What a rule does with athletes of one true pass rate. */
export interface RuleOutcome {
  /** Number of simulated athletes; `null` if worked out exactly. */
  readonly athletes: number | null;
  /** Shares of athletes, 0–1: moved up; moved up too soon; ready in the end but not moved. */
  readonly moved: number;
  readonly tooSoon: number;
  readonly heldBack: number;
  /** Standard error of `moved`; 0 if exact. */
  readonly se: number;
  /** Quartiles of sets until the move; `null` if nobody was moved. */
  readonly setsToMove: readonly [number, number, number] | null;
  /** Mean number of sets until the move or the end. */
  readonly meanSets: number;
}

/** The set, from 1, by which a share of those who are moved have been. */
function setBy(movedAfter: Float64Array, share: number): number {
  const wanted = share * movedAfter.reduce((sum, chance) => sum + chance, 0);
  let sum = 0;
  for (let set = 0; set < movedAfter.length; set++) {
    sum += movedAfter[set] as number;
    if (sum >= wanted) return set + 1;
  }
  return movedAfter.length;
}

/** Smaller shares count as zero. */
const NOBODY = 1e-12;

/** The outcome from P(moved up) after each set. */
export function outcomeOf(
  movedAfter: Float64Array,
  rates: Float64Array,
  { readyRate, withinSets }: OutlookSettings,
  athletes: number | null,
): RuleOutcome {
  let [moved, tooSoon, sets] = [0, 0, 0];
  for (let set = 0; set < movedAfter.length; set++) {
    const chance = movedAfter[set] as number;
    moved += chance;
    sets += chance * (set + 1);
    if ((rates[set] as number) < readyRate) tooSoon += chance;
  }
  const isReady = (rates.at(-1) ?? 0) >= readyRate;
  return {
    ...{ athletes, moved, tooSoon, heldBack: isReady ? 1 - moved : 0 },
    se: athletes === null ? 0 : Math.sqrt((moved * (1 - moved)) / athletes),
    setsToMove:
      moved < NOBODY
        ? null
        : [setBy(movedAfter, 0.25), setBy(movedAfter, 0.5), setBy(movedAfter, 0.75)],
    meanSets: sets + (1 - moved) * withinSets,
  };
}
