import type { SetSource } from '@orthokin/core/run';
import type { Target } from '@orthokin/core/floor';
import { GATED_DURATIONS } from '@orthokin/core/pattern';
import type { CoachGate, SetJudgement, TimeGate } from '@orthokin/core/progress';
import type { SetSummary, TargetFigures } from '@orthokin/core/stats';
import type { RepReading } from '@orthokin/core/timing';
import { lackWords } from './decision.js';
import { capital, commaList, listWords, secondsWithUnit, semicolonList } from './format.js';
import { verdict as en } from './en/verdict.js';
import { coachLimitWords, limitWords } from './limit.js';
import { LOCALE } from './locale.js';
import { speaker } from './say.js';

const say = speaker(en);

const ENDINGS: Readonly<Record<string, string>> = { one: 'st', two: 'nd', few: 'rd', other: 'th' };
const plural = new Intl.PluralRules(LOCALE, { type: 'ordinal' });

const ordinal = (n: number): string => `${n}${ENDINGS[plural.select(n)] ?? 'th'}`;

function gateSentence(
  { gate, limitMs, range, passes, fails, tooClose, needed, overMs }: TimeGate,
  n: number,
): string {
  const close = tooClose > 0 ? say('toocloseTooCloseCall', { tooClose }) : '';
  const decisive =
    overMs > 0
      ? say(range ? 'ordinalBestWasOver' : 'ordinalFastestTookLimitms', {
          ordinal: ordinal(needed),
          limitMs: secondsWithUnit(limitMs + overMs),
          overMs: secondsWithUnit(overMs),
        })
      : '';
  return say('gatePassesNInsideLimitmsFails', {
    gate: capital(gate),
    passes,
    n,
    limitMs: limitWords(limitMs, range),
    fails,
    close,
    needed,
    decisive,
  });
}

function coachSentence(gate: CoachGate, n: number): string {
  const { event, passes, fails, tooClose, needed, overMs } = gate;
  return say('coachEventGate', {
    event: capital(event),
    ...{ passes, n, fails, needed },
    limit: coachLimitWords(gate),
    close: tooClose > 0 ? say('toocloseTooCloseCall', { tooClose }) : '',
    decisive:
      overMs > 0
        ? say('coachEventLate', { ordinal: ordinal(needed), overMs: secondsWithUnit(overMs) })
        : '',
  });
}

/** One sentence a gate, in the order they are judged. */
export function gateSentences({
  times,
  coach = [],
  falseStarts,
  validReps,
  technique,
  held,
  spread,
  together,
}: SetJudgement): string[] {
  // Counts from too few reps would look like a verdict.
  const sentences = validReps.met
    ? [
        ...times.map((gate) => gateSentence(gate, validReps.reps)),
        ...coach.map((gate) => coachSentence(gate, validReps.reps)),
      ]
    : [];
  const limits = [...times, ...coach];
  if (
    limits.length > 1 &&
    together.passes < together.needed &&
    limits.every(({ verdict }) => verdict === 'pass')
  )
    sentences.push(
      say('butOnlyPassesKeptEveryLimit', { passes: together.passes, needed: together.needed }),
    );
  if (falseStarts.falseStarts > 0)
    sentences.push(
      say('falsestartsCuedrepsCuesAllowedAllowed', {
        falseStarts: falseStarts.falseStarts,
        cuedReps: falseStarts.cuedReps,
        allowed: falseStarts.allowed,
      }),
    );
  if (!validReps.met) sentences.push(`${capital(lackWords(validReps))}.`);
  if (!technique.met) sentences.push(`${capital(lackWords(technique))}.`);
  if (held) sentences.push(say('heldTrialsHeld', { held: held.held, trials: held.trials }));
  if (spread?.met === false) sentences.push(`${capital(lackWords(spread))}.`);
  return sentences;
}

const repsWords = (ordinals: readonly number[]): string =>
  `${ordinals.length === 1 ? 'rep' : 'reps'} ${commaList(ordinals)}`;

/** What was left out and why, and which reps were slow but kept. */
export function leftOutSentence({ leftOut, durations }: SetSummary): string {
  const by = new Map<string, number[]>();
  for (const { ordinal, why } of leftOut) by.set(why, [...(by.get(why) ?? []), ordinal]);
  const parts = [...by].map(([why, ordinals]) => `${repsWords(ordinals)} (${why})`);
  const left =
    parts.length > 0
      ? say('leftOutParts', { parts: semicolonList(parts) })
      : say('noRepWasLeftOut');
  // Only durations a rung can limit: in short phases like the load there is always a "slow" rep.
  const slow = GATED_DURATIONS.flatMap((name) => {
    const ordinals = durations[name]?.slowOrdinals ?? [];
    return ordinals.length > 0 ? [`${repsWords(ordinals)} (${name})`] : [];
  });
  return slow.length > 0
    ? say('leftFarSlowerThanRestBut', { left, slow: semicolonList(slow) })
    : left;
}

/** How the set was timed, and the error of a single time. */
export function sourceSentence(source: SetSource, { durations }: SetSummary): string {
  if (source === 'simulated') return say('madeSimulatedAthleteExactNeverPooled');
  if (source === 'none') return say('nobodyTimedThisSetOnlyIts');
  const sd = durations.reaction?.errorSdMs ?? durations.cycle?.errorSdMs;
  const sure = sd === undefined ? '' : say('oneReactionSureToSd', { sd: secondsWithUnit(sd) });
  return say('howSureRepNearerItsLimit', { source, sure });
}

/** What timed a rep, apart from its cue, which is always timed by the screen or a light. */
export function timedBy({ rep }: RepReading): string {
  const timed = rep.events.filter(({ name }) => name !== 'cue' && name !== 'nextCue');
  return listWords([...new Set(timed.map(({ source }) => source))]);
}

/** Which reps were timed by what, in a set with several sources; `null` with a single one. */
export function mixedSentence(readings: readonly RepReading[]): string | null {
  const by = new Map<string, number[]>();
  for (const reading of readings) {
    const source = timedBy(reading);
    if (source !== '') by.set(source, [...(by.get(source) ?? []), reading.rep.ordinal]);
  }
  if (by.size < 2) return null;
  const parts = [...by].map(([source, reps]) =>
    say('whichRepsSource', {
      which: reps.length === 1 ? 'rep' : 'reps',
      reps: commaList(reps),
      source,
    }),
  );
  return `${capital(semicolonList(parts))}.`;
}

/** A difference of this many standard deviations is no timing error. */
const CLEAR_SDS = 2;

/**
 * The target with the slowest recovery; `null` with fewer than two targets, or if the difference to the next is
 * within the timing error of the medians.
 */
export function slowestHome(
  times: readonly TargetFigures[],
  targets: readonly Target[],
  errorSdMs: number,
): string | null {
  const timed = times
    .flatMap((each) => (each.recoveryMs === null ? [] : [{ ...each, recoveryMs: each.recoveryMs }]))
    .sort((a, b) => b.recoveryMs - a.recoveryMs);
  const [slowest, next] = timed;
  if (!slowest || !next) return null;
  const gapSdMs = errorSdMs * Math.sqrt(1 / slowest.n + 1 / next.n);
  if (slowest.recoveryMs - next.recoveryMs <= CLEAR_SDS * gapSdMs) return null;
  const name = targets.find(({ letter }) => letter === slowest.letter)?.name ?? '';
  return say('slowestHomeFromLetterNameRecoveryms', {
    letter: slowest.letter,
    name,
    recoveryMs: secondsWithUnit(slowest.recoveryMs),
  });
}
