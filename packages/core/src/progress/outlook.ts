/** An athlete as far as a rule can see: how often a rep passes, and how that grows. */
export interface Learner {
  /** True pass rate at the first rep, 0–1. */
  readonly passRate: number;
  /**
   * Share of what is missing to `ceiling` that is learnt with each set; 0 for an athlete who stays
   * as they are.
   */
  readonly learning: number;
  readonly ceiling: number;
}

/** An athlete of a true pass rate who stays as they are. */
export const steady = (passRate: number): Learner => ({ passRate, learning: 0, ceiling: passRate });

/** How a rung is trained while a rule looks on. */
export interface OutlookSettings {
  readonly repsPerSet: number;
  /** Reps that make a set passed. */
  readonly passesNeeded: number;
  readonly setsPerDay: number;
  /** Sets that are looked ahead. */
  readonly withinSets: number;
  /** Who truly passes less often than this is moved up too soon. */
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

/** True pass rates that rules are looked at over, from hopeless to sure. */
export const TRUE_RATES = [0.5, 0.55, 0.6, 0.65, 0.7, 0.75, 0.8, 0.85, 0.9, 0.95] as const;

/** The true pass rate in each set looked ahead. */
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

/** What a rule does with athletes of one true pass rate over the sets looked ahead. */
export interface RuleOutcome {
  /** Simulated athletes it rests on; `null` where it is worked out exactly. */
  readonly athletes: number | null;
  /** Shares of the athletes, 0–1: moved up; moved up while not ready; ready in the end, yet not moved. */
  readonly moved: number;
  readonly tooSoon: number;
  readonly heldBack: number;
  /** Standard error of `moved`; 0 where it is exact. */
  readonly se: number;
  /** Sets run by those moved up: lower quartile, median, upper quartile; `null` when nobody was. */
  readonly setsToMove: readonly [number, number, number] | null;
  /** Sets run by all, stopping at the move. */
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

/** Less than one athlete in so many is nobody. */
const NOBODY = 1e-12;

/** The outcome from the chance of being moved up after each of its sets. */
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
