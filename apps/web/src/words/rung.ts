import {
  GATED_DURATIONS,
  limitRange,
  type Axis,
  type Doing,
  type Pressure,
  type Rung,
  type StepUp,
} from '@orthokin/core/pattern';
import {
  demandOf,
  type Demand,
  type EffortName,
  type MoveBasis,
  type SchoolName,
} from '@orthokin/core/progress';
import { capital, commaList, percent } from './format.js';
import { coachLimitWords, limitWords } from './limit.js';
import { rung as en } from './en/rung.js';
import { speaker } from './say.js';
import { orderWords } from './set-up.js';

const say = speaker(en);

/** What is done at the target, as it comes in with a step. */
const DOING_COMES: Readonly<Record<Doing, string>> = {
  'feet only': say('feetOnly'),
  throw: say('withAThrow'),
  implement: say('implementInHand'),
  fed: say('objectFed'),
  live: say('livePlay'),
};

/** What is done at the target, in words. */
export const doingWords = (doing: Doing): string => DOING_COMES[doing];

const AGAINST: Readonly<Record<Pressure, string>> = {
  none: say('nobody'),
  'hampered opponent': say('opponentHeldBack'),
  'one opponent': say('oneOpponent'),
  'two opponents': say('twoOpponents'),
};

/** Who plays against, in words. */
export const againstWords = (pressure: Pressure): string => AGAINST[pressure];

/** One thing that differs between two rungs. */
export interface RungChange {
  readonly what: string;
  readonly from: string;
  readonly to: string;
}

/** What each rung asks, by the name a coach has for it. */
const ASKED: readonly (readonly [what: string, words: (rung: Rung) => string])[] = [
  [say('targets'), ({ targets }) => targets.join(' ')],
  [say('orderCues'), ({ order }) => orderWords(order)],
  [say('target'), ({ doing }) => doingWords(doing)],
  [say('against'), ({ pressure }) => againstWords(pressure)],
  [say('catchTrials'), ({ catchShare }) => percent(catchShare)],
  [say('switchedCues'), ({ switchShare }) => percent(switchShare)],
  [say('floor'), ({ floorScale }) => percent(floorScale)],
  [
    say('time'),
    ({ timeFactor }) => say('timefactorMatchTime', { timeFactor: percent(timeFactor) }),
  ],
  ...GATED_DURATIONS.map(
    (gate) =>
      [
        capital(gate),
        (rung: Rung) => {
          const ms = rung.limitsMs[gate];
          return ms === undefined ? say('noLimit') : limitWords(ms, limitRange(rung, gate));
        },
      ] as const,
  ),
  [
    say('ownEvents'),
    ({ coachLimits = [] }) =>
      coachLimits.length === 0
        ? say('noLimit')
        : commaList(coachLimits.map((limit) => `${limit.event} ${coachLimitWords(limit)}`)),
  ],
];

/** What the step from one rung to another changes; nothing that stays as it is. */
export const changesBetween = (from: Rung, to: Rung): RungChange[] =>
  ASKED.flatMap(([what, words]) =>
    words(from) === words(to) ? [] : [{ what, from: words(from), to: words(to) }],
  );

/** More changes than this cannot be read on a chip. */
const MOST_ON_CHIP = 2;

function stepPart(step: StepUp): string {
  switch (step.what) {
    case 'targets':
      return step.more > 0
        ? say('moreTargets', { count: step.more })
        : say('fewerTargets', { count: -step.more });
    case 'order':
      return orderWords(step.order);
    case 'doing':
      return DOING_COMES[step.doing];
    case 'pressure':
      return say('againstOf', { pressure: againstWords(step.pressure) });
    case 'catch':
      return say(step.comes ? 'catchComes' : 'catchGoes');
    case 'switch':
      return say(step.comes ? 'switchComes' : 'switchGoes');
    case 'floor':
      return say(step.larger ? 'largerFloor' : 'smallerFloor');
    case 'pace':
      return say(step.quicker ? 'quicker' : 'easierPace');
  }
}

/** What a step changes, on a chip; empty where it changes nothing. */
export const stepWords = (steps: readonly StepUp[]): string => {
  const said = steps.slice(0, MOST_ON_CHIP).map(stepPart);
  return steps.length > MOST_ON_CHIP ? say('andMore', { said: commaList(said) }) : commaList(said);
};

const AXIS_WORDS: Readonly<Record<Axis, string>> = {
  speed: say('fasterNothingElse'),
  complexity: say('richerEasierPaceWhereNeeded'),
};

/** What a step raises, in a few words. */
export const raisesWords = (raises: readonly Axis[]): string =>
  raises.length === 1
    ? AXIS_WORDS[raises[0] as Axis]
    : raises.length === 0
      ? say('neitherFasterNorRicher')
      : say('bothFasterRicherTwoThingsOnce');

/** Why a school orders things as it does, and what it risks. */
export const SCHOOL_WORDS: Readonly<
  Record<SchoolName, { readonly reasoning: string; readonly risk: string }>
> = {
  'pattern first': { reasoning: say('patternFirstReasoning'), risk: say('patternFirstRisk') },
  'reading first': { reasoning: say('readingFirstReasoning'), risk: say('readingFirstRisk') },
};

/** What an effort asks of rest. */
export const EFFORT_WORDS: Readonly<Record<EffortName, string>> = {
  quality: say('qualityReasoning'),
  pressure: say('pressureReasoning'),
};

const DEMAND_WORDS: Readonly<
  Record<Demand, 'tooEasyRateAboutOneFive' | 'demandAboutRightRate' | 'muchAskedRateAboutOneFive'>
> = {
  'too easy': 'tooEasyRateAboutOneFive',
  'about right': 'demandAboutRightRate',
  'much asked': 'muchAskedRateAboutOneFive',
};

/** What the share of passed reps says about the demand; `null` with too few reps. */
export function demandSentence(chances: readonly number[]): string | null {
  const found = demandOf(chances);
  if (!found) return null;
  const missed = percent(found.missed);
  const rate = say('missedChancesRepsLost', { missed, chances: chances.length });
  return say(DEMAND_WORDS[found.demand], { rate });
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
      ? say('keptRungTorung', { toRung })
      : say('whichRungTorung', { which: toRung > fromRung ? 'up' : 'back', toRung });
  const by = {
    rule: 'as the rule said',
    overrule: 'against the rule',
    hand: 'by hand',
    undo: 'the move before taken back',
  }[basis];
  return `${capital(way)}, ${by}`;
}
