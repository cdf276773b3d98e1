import { mean, sd, studentCdf } from '../numeric/index.js';
import { groupBy } from '../stats/index.js';
import type { SetJudgement } from './gates.js';

/** An athlete's results on a rung over the days since they reached it. */
export interface HeldOnRung {
  readonly days: number;
  readonly sets: number;
  /** Mean over the days of the share of reps that kept all limits, 0–1. */
  readonly passShare: number;
  /** The share the rung asks for. */
  readonly asked: number;
  /** P(days as poor as these, if the athlete truly kept the share asked for). */
  readonly p: number;
}

/** The part of a set this needs. */
export interface DayOfReps {
  readonly day: string;
  readonly judgement: Pick<SetJudgement, 'chances'>;
}

/** Fewer days than this are no evidence of being stuck. */
const FEWEST_DAYS = 4;

/**
 * Whether the days on a rung say that the athlete cannot keep what it asks yet. Days count, not
 * sets: those of one day share its form. `null` with fewer than four days.
 */
export function heldOnRung(sets: readonly DayOfReps[], asked: number): HeldOnRung | null {
  const telling = sets.filter(({ judgement }) => judgement.chances.length > 0);
  const days = [...groupBy(telling, ({ day }) => day).values()];
  if (days.length < FEWEST_DAYS) return null;
  const shares = days.map((own) => mean(own.flatMap(({ judgement }) => judgement.chances)));
  const reps = telling.reduce((sum, { judgement }) => sum + judgement.chances.length, 0);
  const passShare = mean(shares);
  // Days that agree by chance are no more certain than as many independent reps.
  const variance = Math.max(sd(shares) ** 2 / days.length, (asked * (1 - asked)) / reps);
  return {
    ...{ days: days.length, sets: telling.length, passShare, asked },
    p:
      variance > 0
        ? studentCdf((passShare - asked) / Math.sqrt(variance), days.length - 1)
        : passShare < asked
          ? 0
          : 1,
  };
}
