import type { AthleteReply, CourseSetReply, SquadLineReply } from '@orthokin/contract';
import { contains, type SideLean } from '@orthokin/core/stats';
import { FAULT_HELP } from '@orthokin/core/timing';
import { lackWords } from './decision.js';
import { capital, count } from './format.js';

/** A day with its year, as a letter has it. */
export const longDay = (day: string): string =>
  day === ''
    ? ''
    : new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'long', year: 'numeric' }).format(
        new Date(`${day}T12:00:00`),
      );

/** What was trained, a row for each kind of sets. */
export const trainedRows = (
  kinds: readonly { readonly words: string; readonly sets: readonly CourseSetReply[] }[],
) =>
  kinds.map(({ words, sets }) => {
    const rungs = sets.map(({ rung }) => rung);
    const [low, high] = [Math.min(...rungs), Math.max(...rungs)];
    return {
      words,
      days: new Set(sets.map(({ day }) => day)).size,
      sets: sets.length,
      reps: sets.reduce((sum, { figures }) => sum + figures.counted, 0),
      rungs: low === high ? String(low) : `${low} to ${high}`,
    };
  });

/** Clean reps and false starts in the first and the last third of some sets. */
export function techniqueSentence(sets: readonly CourseSetReply[]): string {
  const third = Math.max(1, Math.floor(sets.length / 3));
  const sum = (some: readonly CourseSetReply[], name: 'clean' | 'cued' | 'falseStarts') =>
    some.reduce((total, { figures }) => total + figures[name], 0);
  const words = (some: readonly CourseSetReply[]) =>
    `${sum(some, 'clean')} of ${count(sum(some, 'cued'), 'rep')} without a fault that was seen, ${count(sum(some, 'falseStarts'), 'false start')}`;
  return `Technique: at first ${words(sets.slice(0, third))}; lately ${words(sets.slice(-third))}.`;
}

/** Left against right, over days. */
export function leanSentence(lean: SideLean | null): string {
  if (!lean) return 'Left and right could not be compared.';
  const { percent, interval, days } = lean;
  const over = `over ${count(days, 'day')}, 95 % ${interval.low.toFixed(0).replace('-', '−')} to ${interval.high.toFixed(0).replace('-', '−')} %`;
  if (contains(interval, 0)) return `Left and right: no clear difference (${over}).`;
  const side = percent > 0 ? 'left' : 'right';
  return `Left and right: slower to the ${side} by ${Math.abs(percent).toFixed(0)} % (${over}).`;
}

export const MEANINGS: readonly {
  readonly phase: 'reaction' | 'travel' | 'recovery' | null;
  readonly words: string;
}[] = [
  { phase: 'reaction', words: 'Reaction: from the cue to the first movement toward the target.' },
  { phase: 'travel', words: 'Travel: from there until the foot is planted at the target.' },
  { phase: 'recovery', words: 'Recovery: from the action back to home, both feet down, ready.' },
  { phase: null, words: 'Cycle: from the cue until home again; all of it together.' },
  {
    phase: null,
    words:
      'Clearly: a change larger than the days’ own form would seldom make, and worth having. Probably: likely, not proven.',
  },
];

/** What is to be done next, and why. */
export function nextSteps(
  { sets }: { readonly sets: readonly CourseSetReply[] },
  line: SquadLineReply | undefined,
): string[] {
  const steps: string[] = [];
  const decision = line?.lastSet?.decision;
  if (line)
    steps.push(
      `Works on ${line.patternName}, rung ${line.rung} of ${line.rungs}: ${line.rungName}.`,
    );
  if (decision?.answer === 'move up') steps.push('The limits of this rung are met: move up.');
  else if (decision?.limiting)
    steps.push(`What holds the next rung back: ${lackWords(decision.limiting)}.`);
  const recent = sets.slice(-4);
  const early = recent.reduce((sum, { figures }) => sum + figures.falseStarts, 0);
  const cued = recent.reduce((sum, { figures }) => sum + figures.cued, 0);
  if (cued > 0 && early / cued > 0.1)
    steps.push(
      `${capital(count(early, 'false start'))} in the last ${count(cued, 'cue')}. ${FAULT_HELP['false start'].say} ${FAULT_HELP['false start'].mend}`,
    );
  if (decision?.limiting?.gate === 'recovery')
    steps.push(
      'Short sets of all the way home: turn at once, low, eyes up, the same stance again.',
    );
  if (decision?.limiting?.gate === 'reaction')
    steps.push('Split-step with the cue, weight even; catch trials keep the reading honest.');
  steps.push('Run the standard test again in four to six weeks, the same way.');
  return steps;
}

/** What has to be borne in mind; where the athlete’s own case asks for it, that first. */
export function cautions({ ageBand, note }: AthleteReply): string[] {
  const own: string[] = [];
  if (note) own.push(`${note} Only what the clinician in charge has cleared.`);
  if (ageBand !== 'adult')
    own.push('Under age: with a guardian’s agreement, and loads that suit the age.');
  return [
    ...own,
    'Warm up first. Clear, dry floor and free run-off round the markers.',
    'Stop on pain, dizziness, or breathlessness that does not settle.',
    'These are timing figures, no medical assessment; local rules and licensed practice come first.',
  ];
}
