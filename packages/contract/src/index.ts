export {
  AGE_BANDS,
  AthleteReply,
  DrillSetupReply,
  HANDS,
  LastSetReply,
  SquadLineReply,
  type AgeBand,
} from './athlete.js';
export { ClubReply } from './club.js';
export {
  CueBody,
  DrillSetBody,
  DrillSetReply,
  END_REASONS,
  EventBody,
  RepBody,
  RepReply,
  SetEndBody,
  type EndReason,
} from './drill.js';
export {
  AthletePath,
  ClubPath,
  NewMovePath,
  NewPatternVersionPath,
  NewRepPath,
  NewSetPath,
  PatternPath,
  PatternVersionPath,
  SetPath,
  DrillSetupQuery,
} from './paths.js';
export { ArchivedBody, PatternBody, PatternLineReply, PatternReply } from './pattern.js';
export { ProblemReply, RefusalReply } from './problem.js';
export {
  ANSWERS,
  CountRuleReply,
  DecisionReply,
  MOVE_BASES,
  RungMoveBody,
  RungMoveReply,
  type MoveBasis,
} from './progress.js';
export { SetReviewReply } from './review.js';
export { validationProblems } from './validation-problems.js';
