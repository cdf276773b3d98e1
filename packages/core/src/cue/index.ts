export {
  calledTargets,
  FREEZE_AT,
  LATE_COLOURS,
  LATE_KINDS,
  LATE_SIDES,
  trialOf,
  type Cue,
  type FreezeAt,
  type LateCue,
  type LateKind,
  type Trial,
} from './cue.js';
export {
  FOREPERIOD_KINDS,
  LONGEST_FOREPERIOD_MS,
  drawForeperiod,
  meanForeperiodMs,
  type Foreperiod,
} from './foreperiod.js';
export { chainLength, CUE_ORDERS, type CueOrder } from './order.js';
export { guessRate, longestRun, predictability, type Predictability } from './predictability.js';
export {
  exponential,
  MAX_SEED,
  normal,
  seededRandom,
  shuffled,
  uniform,
  type Random,
} from './random.js';
export {
  isKnown,
  MOST_ASKS,
  nextAsk,
  recognised,
  type Answer,
  type Recognised,
} from './recognition.js';
export {
  USUAL_SWITCH_AFTER_MS,
  addedCues,
  makeSchedule,
  MAX_MOVED_M,
  MAX_REPS,
  PLAIN_TRIALS,
  type ScheduleSettings,
} from './schedule.js';
