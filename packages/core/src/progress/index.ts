export { claimsOf, type Claims, type SquadMember } from './claims.js';
export {
  USUAL_COUNT_RULE,
  QUICK_COUNT_RULE,
  type CountRule,
  type CountState,
} from './count-rule.js';
export {
  ANSWERS,
  decide,
  decisionHead,
  stepOf,
  type Answer,
  type Because,
  type Decision,
  type DecisionHead,
  type Evidence,
} from './decide.js';
export {
  decideHere,
  EVIDENCE_SETS,
  type KnownLadder,
  type KnownSet,
  type RunSet,
} from './decide-here.js';
export {
  AXIS_ORDERS,
  draftLadder,
  fittingRungs,
  hickCostMs,
  USUAL_DRAFT,
  type AxisOrder,
  type DraftSettings,
} from './draft.js';
export { firstPattern } from './first-pattern.js';
export { sayThis, type SayThis, type ToKeep, type ToMend } from './say-this.js';
export { foresee, usualTimes, type ComingSet, type Foreseen, type UsualTimes } from './foresee.js';
export { needOf, SQUAD_NEEDS, type SquadNeed } from './needs.js';
export type { JudgedSet } from './evidence.js';
export { heldOnRung, type HeldOnRung } from './held.js';
export { judgeRep, judgeSet, type RepVerdict, type RepVerdicts } from './judge.js';
export {
  limitingGate,
  passRate,
  type FalseStartGate,
  type Gate,
  type HeldGate,
  type SetFade,
  type SetJudgement,
  SET_OUTCOMES,
  type SetOutcome,
  type SpreadGate,
  type TechniqueGate,
  type CoachGate,
  type TimeGate,
  type ValidRepsGate,
} from './gates.js';
export {
  asksTheSame,
  checkLadder,
  isCuedAsAsked,
  USUAL_LADDER,
  whatIsAsked,
  withLimit,
  withOwnLimit,
  withOwnLimits,
  type Asked,
  type LadderSettings,
  type OwnLimits,
  type SourcedLimit,
  type StandardTest,
} from './ladder.js';
export { operatingOf, setPassProbability } from './operating.js';
export { posteriorOf, wilson, type Posterior, type Share } from './pass-rate.js';
export {
  ladderPlace,
  MOVE_BASES,
  standingMoves,
  type LadderMove,
  type LadderPlace,
  type MoveBasis,
} from './place.js';
export {
  checkRule,
  RULE_KINDS,
  RULES_VERSION,
  stateOf,
  type Rule,
  type RuleState,
  type SequentialStanding,
  type StaircaseStanding,
} from './rule.js';
export {
  EASY_MISS_RATE,
  EFFORT_NAMES,
  EFFORTS,
  demandOf,
  type Demand,
  SCHOOL_NAMES,
  SCHOOLS,
  type EffortName,
  type School,
  type SchoolName,
} from './school.js';
export {
  CAREFUL_SEQUENTIAL_RULE,
  boundsOf,
  USUAL_SEQUENTIAL_RULE,
  evidenceOf,
  passesToGo,
  runningTest,
  sequentialTest,
  type SequentialRule,
  type SequentialState,
  type SequentialTest,
} from './sequential.js';
export {
  PRESET_RULES,
  riskOf,
  RULE_PRESETS,
  type RulePreset,
  type RuleRisk,
} from './rule-presets.js';
export {
  steady,
  TRUE_RATES,
  USUAL_OUTLOOK,
  type OutlookSettings,
  type Learner,
  type RuleOutcome,
} from './outlook.js';
export { simulateStaircase } from './simulate-staircase.js';
export {
  USUAL_STAIRCASE_RULE,
  playStaircase,
  readStaircase,
  startStaircase,
  stepStaircase,
  type Staircase,
  type StaircaseReading,
  type StaircaseRule,
} from './staircase.js';
export { targetGauges, type TargetGauge, type TargetTimes } from './target-gauges.js';
export {
  suggestCount,
  suggestSequential,
  USUAL_WISH,
  type Suggestion,
  type Wish,
} from './suggest.js';
