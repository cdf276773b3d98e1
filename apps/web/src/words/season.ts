import {
  isClear,
  mostly,
  type Better,
  type PhaseChange,
  type SeasonDay,
  type SeasonPhase,
} from '@orthokin/core/stats';
import { season as en } from './en/season.js';
import { dayWords, listWords, seconds, secondsWithUnit } from './format.js';
import { betterSentence } from './change.js';
import { speaker } from './say.js';

/** What is said of an athlete's season. */
export const say = speaker(en);

const ON: Readonly<Record<PhaseChange['phase'], 'onReaction' | 'onTravel' | 'onRecovery'>> = {
  reaction: 'onReaction',
  travel: 'onTravel',
  recovery: 'onRecovery',
};

const PHASE: Readonly<Record<SeasonPhase, string>> = {
  reaction: say('reaction'),
  travel: say('travel'),
  load: say('load'),
  recovery: say('recovery'),
};

/** Is it better, and where most of it came from. */
export function seasonSentence(better: Better, phases: readonly PhaseChange[]): string {
  const answer = betterSentence(better, 'cycle');
  const most = isClear(better.change.words) ? mostly(better.change, phases) : null;
  if (!most) return answer;
  const by = secondsWithUnit(Math.abs(most.change.changeMs));
  return say('mostlyOn', { answer, phase: say(ON[most.phase]), by });
}

/** A phase of a season, as it is called where phases are summed up. */
export const seasonPhase = (phase: SeasonPhase): string => PHASE[phase];

/** A change of a phase with its sign; that it is not clear is said. */
export const phaseChangeWords = ({ change }: PhaseChange): string =>
  isClear(change.words)
    ? `${change.changeMs < 0 ? '−' : '+'}${secondsWithUnit(Math.abs(change.changeMs))}`
    : say('notClear');

/** A day, as its button says it to whoever does not see the drawing. */
export function seasonDayWords(day: SeasonDay, hasNote: boolean): string {
  const { stretches } = day;
  const cycleMs = stretches.at(-1)?.toMs;
  return say('openDay', {
    day: dayWords(`${day.day}T12:00:00`),
    rung: day.rung,
    test: day.isTest ? say('openTest') : '',
    sets: day.sets.length,
    cycle:
      day.spreadMs && cycleMs !== undefined
        ? say('cycleOf', { s: secondsWithUnit(cycleMs) })
        : say('noCycle'),
    stretches: stretches
      .map(({ phases, fromMs, toMs }) =>
        say('stretch', { phases: listWords(phases.map(seasonPhase)), s: seconds(toMs - fromMs) }),
      )
      .join(''),
    note: hasNote ? say('withNote') : '',
  });
}
