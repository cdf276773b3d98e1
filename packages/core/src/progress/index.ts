export {
  decideByCount,
  DEFAULT_COUNT_RULE,
  type Answer,
  type CountRule,
  type Decision,
  type JudgedSet,
} from './count-rule.js';
export {
  judgeSet,
  limitingGate,
  type FalseStartGate,
  type Gate,
  type SetJudgement,
  type SetOutcome,
  type TimeGate,
  type ValidRepsGate,
} from './gates.js';
export { ladderPlace, type LadderMove, type LadderPlace } from './place.js';
