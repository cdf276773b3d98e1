import { seededRandom } from '@orthokin/core/cue';
import type { AthleteRepsReply } from '@orthokin/contract';
import type { Target } from '@orthokin/core/floor';
import { medianInPlace, scaledMad, median } from '@orthokin/core/numeric';
import type { Result } from '@orthokin/core/result';
import {
  asymmetry,
  bootstrapInterval,
  fitExGaussian,
  forecast,
  hickLine,
  mirroredLetters,
  USUAL_RESAMPLES,
  type Asymmetry,
  type ExGaussianFit,
  type Forecast,
  type HickLine,
  type Interval,
} from '@orthokin/core/stats';

/** The same seed everywhere: whoever works a sum out again gets the same interval. */
const SEED = 1;

export interface MedianWithDoubt {
  readonly n: number;
  readonly ms: number;
  readonly interval: Interval | null;
  /** Times slower than three scaled MADs above the median: lapses. */
  readonly lapses: number;
}

export interface Closer {
  readonly medians: Readonly<Partial<Record<'reaction' | 'recovery' | 'cycle', MedianWithDoubt>>>;
  readonly tail: Result<ExGaussianFit>;
  readonly sides: Asymmetry | null;
  readonly hick: Result<HickLine>;
}

/** What takes too long for the page itself. */
export type Sum =
  | {
      readonly kind: 'closer';
      readonly reps: AthleteRepsReply;
      readonly targets: readonly Target[];
      /** Of each of the sets, in the order of `reps.setIds`: its rung and the targets in play. */
      readonly sets: readonly { readonly rung: number; readonly choices: number }[];
      /** All but the line of choice is of this rung only: others have other ways to go. */
      readonly rung: number;
    }
  | {
      readonly kind: 'forecast';
      readonly sessions: readonly number[];
      readonly values: readonly number[];
      readonly thresholdMs: number;
      readonly horizon: number;
    };

export interface Answers {
  readonly closer: Closer;
  readonly forecast: Result<Forecast>;
}

type Tell = (share: number) => void;

/** The part of a longer sum from one share to another. */
const part =
  (tell: Tell, from: number, to: number): Tell =>
  (share) =>
    tell(from + (to - from) * share);

const SLOW_MADS = 3;

function medianOf(times: readonly number[], tell: Tell): MedianWithDoubt | undefined {
  if (times.length === 0) return undefined;
  const ms = median(times);
  const slowFrom = ms + SLOW_MADS * scaledMad(times);
  return {
    n: times.length,
    ms,
    interval: bootstrapInterval(times, medianInPlace, {
      ...{ resamples: USUAL_RESAMPLES, random: seededRandom(SEED), progress: tell },
    }),
    lapses: times.filter((each) => each > slowFrom).length,
  };
}

const known = (times: readonly (number | null)[]): number[] =>
  times.filter((each) => each !== null);

function closer(
  { reps, targets, sets, rung }: Extract<Sum, { kind: 'closer' }>,
  tell: Tell,
): Closer {
  const isOnRung = (_: unknown, i: number) => sets[reps.set[i] ?? -1]?.rung === rung;
  const onRung = (name: 'reaction' | 'recovery' | 'cycle') => known(reps[name].filter(isOnRung));
  const { left, right } = mirroredLetters(targets);
  const cyclesTo = (letters: readonly string[]) =>
    known(reps.cycle.filter((ms, i) => isOnRung(ms, i) && letters.includes(reps.target[i] ?? '')));
  const reaction = medianOf(onRung('reaction'), part(tell, 0, 0.25));
  const recovery = medianOf(onRung('recovery'), part(tell, 0.25, 0.5));
  const cycle = medianOf(onRung('cycle'), part(tell, 0.5, 0.75));
  const chosen = reps.reaction.flatMap((ms, i) =>
    ms === null ? [] : [{ ms, choices: sets[reps.set[i] ?? -1]?.choices ?? NaN }],
  );
  return {
    medians: {
      ...(reaction && { reaction }),
      ...(recovery && { recovery }),
      ...(cycle && { cycle }),
    },
    sides: asymmetry(cyclesTo(left), cyclesTo(right), {
      ...{ resamples: USUAL_RESAMPLES, random: seededRandom(SEED) },
      progress: part(tell, 0.75, 0.95),
    }),
    tail: fitExGaussian(onRung('reaction')),
    hick: hickLine(
      chosen.map(({ choices }) => choices),
      chosen.map(({ ms }) => ms),
    ),
  };
}

const FORECAST_RESAMPLES = 400;

/** Works a sum out; `tell` hears the share that is done. */
export function workOut(sum: Sum, tell: Tell): Answers[Sum['kind']] {
  if (sum.kind === 'closer') return closer(sum, tell);
  const { sessions, values, thresholdMs, horizon } = sum;
  return forecast(sessions, values, {
    ...{ thresholdMs, horizon, resamples: FORECAST_RESAMPLES, random: seededRandom(SEED) },
    progress: tell,
  });
}
