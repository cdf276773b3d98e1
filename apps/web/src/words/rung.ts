import { GATED_DURATIONS, type Axis, type Rung } from '@orthokin/core/pattern';
import { EASY_MISS_RATE, RIGHT_MISS_RATE, type MoveBasis } from '@orthokin/core/progress';
import { capital, percent, secondsWithUnit } from './format.js';

/** One thing that differs between two rungs. */
export interface RungChange {
  readonly what: string;
  readonly from: string;
  readonly to: string;
}

/** What each rung asks, by the name a coach has for it. */
const ASKED: readonly (readonly [what: string, words: (rung: Rung) => string])[] = [
  ['Targets', ({ targets }) => targets.join(' ')],
  ['Order of cues', ({ order }) => order],
  ['At the target', ({ doing }) => doing],
  ['Against', ({ pressure }) => (pressure === 'none' ? 'nobody' : pressure)],
  ['Catch trials', ({ catchShare }) => percent(catchShare)],
  ['Switched cues', ({ switchShare }) => percent(switchShare)],
  ['Floor', ({ floorScale }) => percent(floorScale)],
  ['Time', ({ timeFactor }) => `${percent(timeFactor)} of match time`],
  ...GATED_DURATIONS.map(
    (gate) =>
      [
        capital(gate),
        ({ limitsMs }: Rung) => {
          const ms = limitsMs[gate];
          return ms === undefined ? 'no limit' : secondsWithUnit(ms);
        },
      ] as const,
  ),
];

/** What the step from one rung to another changes; nothing that stays as it is. */
export const changesBetween = (from: Rung, to: Rung): RungChange[] =>
  ASKED.flatMap(([what, words]) =>
    words(from) === words(to) ? [] : [{ what, from: words(from), to: words(to) }],
  );

const AXIS_WORDS: Readonly<Record<Axis, string>> = {
  speed: 'faster, nothing else',
  complexity: 'richer, at an easier pace where that is needed',
};

/** What a step raises, in a few words. */
export const raisesWords = (raises: readonly Axis[]): string =>
  raises.length === 1
    ? AXIS_WORDS[raises[0] as Axis]
    : raises.length === 0
      ? 'neither faster nor richer'
      : 'both faster and richer: two things at once';

/** What the share of reps that passed says of the demand; `null` with too few reps to say. */
export function demandSentence(chances: readonly number[]): string | null {
  const FEWEST_REPS = 20;
  if (chances.length < FEWEST_REPS) return null;
  const missed = 1 - chances.reduce((sum, chance) => sum + chance, 0) / chances.length;
  const rate = `${percent(missed)} of ${chances.length} reps lost`;
  if (missed < EASY_MISS_RATE)
    return `Too easy: ${rate}; about one in five shows the right demand.`;
  return missed <= 1.5 * RIGHT_MISS_RATE
    ? `The demand is about right: ${rate}.`
    : `Much is asked: ${rate}; about one in five shows the right demand.`;
}

/** A move, as a line of the history. */
export function moveWords({
  fromRung,
  toRung,
  basis,
}: {
  readonly fromRung: number;
  readonly toRung: number;
  readonly basis: MoveBasis;
}): string {
  const way =
    toRung === fromRung
      ? `kept on rung ${toRung}`
      : `${toRung > fromRung ? 'up' : 'back'} to rung ${toRung}`;
  const by = {
    rule: 'as the rule said',
    overrule: 'against the rule',
    hand: 'by hand',
    undo: 'the move before taken back',
  }[basis];
  return `${capital(way)}, ${by}`;
}
