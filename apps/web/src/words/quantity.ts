import { quantity as en } from './en/quantity.js';
import { speaker } from './say.js';

/** What is said about figures. */
export const say = speaker(en);

/** The explanation of a quantity: name, meaning, calculation, uncertainty. */
export interface Told {
  readonly name: string;
  readonly means: string;
  readonly how: string;
  readonly sure: string;
}

const told = (name: string, means: string, how: string, sure: string): Told => ({
  ...{ name, means, how, sure },
});

/** Explanations of all quantities shown; each figure opens its own, and the glossary lists all. */
export const QUANTITIES = {
  reaction: told(
    say('reactionName'),
    say('reactionMeans'),
    say('reactionHow'),
    say('reactionSure'),
  ),
  travel: told(say('travelName'), say('travelMeans'), say('travelHow'), say('travelSure')),
  load: told(say('loadName'), say('loadMeans'), say('loadHow'), say('loadSure')),
  recovery: told(
    say('recoveryName'),
    say('recoveryMeans'),
    say('recoveryHow'),
    say('recoverySure'),
  ),
  response: told(
    say('responseName'),
    say('responseMeans'),
    say('responseHow'),
    say('responseSure'),
  ),
  cycle: told(say('cycleName'), say('cycleMeans'), say('cycleHow'), say('cycleSure')),
  splitOffset: told(
    say('splitOffsetName'),
    say('splitOffsetMeans'),
    say('splitOffsetHow'),
    say('splitOffsetSure'),
  ),
  readyMargin: told(
    say('readyMarginName'),
    say('readyMarginMeans'),
    say('readyMarginHow'),
    say('readyMarginSure'),
  ),
  median: told(say('medianName'), say('medianMeans'), say('medianHow'), say('medianSure')),
  middleHalf: told(
    say('middleHalfName'),
    say('middleHalfMeans'),
    say('middleHalfHow'),
    say('middleHalfSure'),
  ),
  limit: told(say('limitName'), say('limitMeans'), say('limitHow'), say('limitSure')),
  counted: told(say('countedName'), say('countedMeans'), say('countedHow'), say('countedSure')),
  verdict: told(say('verdictName'), say('verdictMeans'), say('verdictHow'), say('verdictSure')),
  clean: told(say('cleanName'), say('cleanMeans'), say('cleanHow'), say('cleanSure')),
  wentEarly: told(
    say('wentEarlyName'),
    say('wentEarlyMeans'),
    say('wentEarlyHow'),
    say('wentEarlySure'),
  ),
  catchTrials: told(
    say('catchTrialsName'),
    say('catchTrialsMeans'),
    say('catchTrialsHow'),
    say('catchTrialsSure'),
  ),
  spread: told(say('spreadName'), say('spreadMeans'), say('spreadHow'), say('spreadSure')),
  change: told(say('changeName'), say('changeMeans'), say('changeHow'), say('changeSure')),
  heldBy: told(say('heldByName'), say('heldByMeans'), say('heldByHow'), say('heldBySure')),
  sides: told(say('sidesName'), say('sidesMeans'), say('sidesHow'), say('sidesSure')),
  slowTarget: told(
    say('slowTargetName'),
    say('slowTargetMeans'),
    say('slowTargetHow'),
    say('slowTargetSure'),
  ),
  fade: told(say('fadeName'), say('fadeMeans'), say('fadeHow'), say('fadeSure')),
  coachEvent: told(
    say('coachEventName'),
    say('coachEventMeans'),
    say('coachEventHow'),
    say('coachEventSure'),
  ),
  rung: told(say('rungName'), say('rungMeans'), say('rungHow'), say('rungSure')),
  evidence: told(
    say('evidenceName'),
    say('evidenceMeans'),
    say('evidenceHow'),
    say('evidenceSure'),
  ),
  lost: told(say('lostName'), say('lostMeans'), say('lostHow'), say('lostSure')),
  guessable: told(
    say('guessableName'),
    say('guessableMeans'),
    say('guessableHow'),
    say('guessableSure'),
  ),
  shortCourse: told(
    say('shortCourseName'),
    say('shortCourseMeans'),
    say('shortCourseHow'),
    say('shortCourseSure'),
  ),
} as const satisfies Readonly<Record<string, Told>>;

export type Quantity = keyof typeof QUANTITIES;
