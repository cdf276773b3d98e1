import type { AthleteReply, CourseSetReply, SquadLineReply } from '@orthokin/contract';
import {
  contains,
  isClear,
  isNewLean,
  type Better,
  type LeanChange,
  type NotComparable,
  type SideLean,
} from '@orthokin/core/stats';
import type { Fault, FaultWords } from '@orthokin/core/timing';
import { FAULT_HELP, faultWords } from './fault.js';
import { seconds, secondsWithUnit } from './format.js';
import { lackWords } from './decision.js';
import { report as en } from './en/report.js';
import { speaker } from './say.js';

const say = speaker(en);

const PLAIN: Readonly<Record<'cycle' | 'reaction' | 'recovery', string>> = {
  cycle: say('plainCycle'),
  reaction: say('plainReaction'),
  recovery: say('plainRecovery'),
};

/** Whether something changed, for whoever does not read figures. */
export function plainChange(
  better: Better | NotComparable,
  duration: 'cycle' | 'reaction' | 'recovery',
): string {
  const what = PLAIN[duration];
  if (typeof better === 'string') return say('plainNotYet', { what });
  const { words, changeMs, beforeMs, afterMs } = better.change;
  const by = secondsWithUnit(Math.abs(changeMs));
  const course = { before: seconds(beforeMs), after: secondsWithUnit(afterMs) };
  if (words === 'no clear change') return say('plainNoChange', { what, ...course });
  const way = changeMs < 0 ? 'quicker' : 'slower';
  return say(isClear(words) ? 'plainClearly' : 'plainProbably', { what, way, by, ...course });
}

/** Where somebody stands, for whoever does not know the ladder. */
export const standsAt = (
  name: string,
  { rung, rungs, rungName, patternName }: SquadLineReply,
): string => say('standsAt', { name, rung, rungs, rungName, patternName });

/** What can be done without the coach: first what mends the faults watched for, then what is always good. */
export const atHome = (watched: readonly Fault[], own: readonly FaultWords[]): string[] => [
  ...watched.map((fault) => faultWords(fault, own).mend),
  say('homeWalk'),
  say('homeStance'),
];

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
      rungs: low === high ? String(low) : say('lowHigh', { low, high }),
    };
  });

/** Clean reps and false starts in the first and the last third of some sets. */
export function techniqueSentence(sets: readonly CourseSetReply[]): string {
  const third = Math.max(1, Math.floor(sets.length / 3));
  const sum = (some: readonly CourseSetReply[], name: 'clean' | 'cued' | 'falseStarts') =>
    some.reduce((total, { figures }) => total + figures[name], 0);
  const words = (some: readonly CourseSetReply[]) =>
    say('sumSum2WithoutFaultWasSeen', {
      sum: sum(some, 'clean'),
      sum2: sum(some, 'cued'),
      sum3: sum(some, 'falseStarts'),
    });
  return say('techniqueFirstWordsLatelyWords2', {
    words: words(sets.slice(0, third)),
    words2: words(sets.slice(-third)),
  });
}

/** Left against right, over days. */
export function leanSentence({
  lean,
  leanChange,
}: {
  readonly lean: SideLean | null;
  readonly leanChange: LeanChange | null;
}): string {
  if (isNewLean(leanChange)) {
    const { nowPercent, daysNow } = leanChange;
    const which = nowPercent > 0 ? 'left' : 'right';
    return say('leftRightSlowerWhichIsNew', {
      ...{ side: which, abs: Math.abs(nowPercent).toFixed(0), daysNow },
    });
  }
  if (!lean) return say('leftRightCouldNotCompared');
  const { percent, interval, days } = lean;
  const over = say('overDays95LowHigh', {
    days,
    low: interval.low.toFixed(0).replace('-', '−'),
    high: interval.high.toFixed(0).replace('-', '−'),
  });
  if (contains(interval, 0)) return say('leftRightNoClearDifferenceOver', { over });
  const side = percent > 0 ? 'left' : 'right';
  return say('leftRightSlowerSideAbsOver', { side, abs: Math.abs(percent).toFixed(0), over });
}

export const MEANINGS: readonly {
  readonly phase: 'reaction' | 'travel' | 'recovery' | null;
  readonly words: string;
}[] = [
  { phase: 'reaction', words: say('reactionFromCueFirstMovementToward') },
  { phase: 'travel', words: say('travelFromThereUntilFootPlanted') },
  { phase: 'recovery', words: say('recoveryFromActionBackHomeBoth') },
  { phase: null, words: say('cycleFromCueUntilHomeAgain') },
  {
    phase: null,
    words: say('clearlyChangeLargerThanDaysOwn'),
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
      say('worksPatternnameRungRungRungsRungname', {
        patternName: line.patternName,
        rung: line.rung,
        rungs: line.rungs,
        rungName: line.rungName,
      }),
    );
  if (decision?.answer === 'move up') steps.push(say('limitsThisRungMetMoveUp'));
  else if (decision?.limiting)
    steps.push(say('whatHoldsNextRungBackLackwords', { lackWords: lackWords(decision.limiting) }));
  const recent = sets.slice(-4);
  const early = recent.reduce((sum, { figures }) => sum + figures.falseStarts, 0);
  const cued = recent.reduce((sum, { figures }) => sum + figures.cued, 0);
  if (cued > 0 && early / cued > 0.1)
    steps.push(
      say('earlyLastCuedSayMend', {
        early,
        cued,
        say: FAULT_HELP['false start'].say,
        mend: FAULT_HELP['false start'].mend,
      }),
    );
  if (decision?.limiting?.gate === 'recovery') steps.push(say('shortSetsAllWayHomeTurn'));
  if (decision?.limiting?.gate === 'reaction') steps.push(say('splitStepCueWeightEvenCatch'));
  steps.push(say('runStandardTestAgainFourSix'));
  return steps;
}

/** What has to be borne in mind; where the athlete’s own case asks for it, that first. */
export function cautions({ ageBand, note }: AthleteReply): string[] {
  const own: string[] = [];
  if (note) own.push(say('noteOnlyWhatClinicianChargeHas', { note }));
  if (ageBand !== 'adult') own.push(say('underAgeGuardiansAgreementLoadsSuit'));
  return [
    ...own,
    say('warmUpFirstClearDryFloor'),
    say('stopPainDizzinessBreathlessnessDoesNot'),
    say('theseTimingFiguresNoMedicalAssessment'),
  ];
}
