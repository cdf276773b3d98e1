export { auditCalls, type Audit } from './audit.js';
export {
  CUE_KINDS,
  HOME_RULES,
  isSpoken,
  PACE_KINDS,
  PLAIN_CONDITIONS,
  SCREEN_KINDS,
  screenKindOf,
  senseOf,
  SOUND_KINDS,
  soundKindOf,
  STAIRCASE_LIMITS,
  type Conditions,
  type CueKind,
  type HomeRule,
  type Pace,
  type StaircaseSteps,
  type ScreenKind,
  type SoundKind,
} from './conditions.js';
export { dueMs, type Waiting } from './due.js';
export { readSet, type SetToRead } from './read-set.js';
export { LEAST_REST_MS, REST_RATIOS, restBefore, rotaOf, type Turn } from './rest.js';
export {
  addedReps,
  FAULTY_REPS_RUNNING,
  isLost,
  LOSS_COST_LIMITS,
  techniqueWent,
  type LossCost,
} from './stakes.js';
export { rungAsRun, type AsRun } from './as-run.js';
export { easedRung, LEAST_FLOOR_SHARE, type Eased } from './eased.js';
