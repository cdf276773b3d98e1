export { LONGEST_SELF_CHECK, MOST_SELF_CHECKS, selfChecked, type SelfCheck } from './self-check.js';
export {
  BLOCK_BOUNDS,
  BLOCK_KINDS,
  CATCH_FORMS,
  GAME_FORMS,
  gameOf,
  HELPER_ROLES,
  isCatching,
  LONGEST_BLOCK_NOTE,
  LONGEST_NEEDS,
  LONGEST_TITLE,
  MOST_BLOCKS,
  MOST_PLANNED,
  OBJECTS,
  thoseIn,
  trainedBy,
  usualBlock,
  WANTED,
  type Block,
  type BlockKind,
  type CatchForm,
  type GameForm,
  type HelperRole,
  type PlayObject,
  type Stay,
  type Trained,
} from './block.js';
export { CATCH_FROM_CM, catcherAfter, catchPairs, type Call, type Catcher } from './catches.js';
export { doneAgainstPlanned, type Held, type WeekDone } from './done.js';
export { draftedFrom, type DraftedBlock, type DraftReason, type Stands } from './drafted.js';
export { halved, replaced } from './edit.js';
export { planFindings, type PlanFinding } from './findings.js';
export { fitted } from './fit.js';
export {
  firstRound,
  GAME_WAYS,
  MOST_COURTS,
  nextRound,
  winsOf,
  type GameRound,
  type GameWay,
} from './games.js';
export { heldBlocks, minutesHere, type HeldBlock } from './held.js';
export {
  overDays,
  PRACTICE_MINUTES,
  practisedInWeek,
  weekAtHome,
  type Practised,
} from './home-practice.js';
export {
  kitOfAll,
  kitOfBlock,
  patternsOf,
  RUN_OFF_M,
  spaceNeeded,
  type Kit,
  type Space,
} from './kit.js';
export {
  EFFORT,
  LOAD_FIGURES,
  loadRises,
  MOST_RISE,
  WEEKS_BEFORE,
  type LoadFigure,
  type LoadRise,
  type WeekLoad,
} from './load.js';
export {
  overStations,
  rotation,
  sharesOf,
  stationGroups,
  type Rotated,
  type Round,
  type Share,
  type StationTurn,
} from './rotation.js';
export {
  endOf,
  overTime,
  placed,
  SESSION_MINUTES,
  sharesOver,
  type PlacedBlock,
  type Session,
} from './session.js';
export { TEAMS, teamsOf, type Team } from './teams.js';
export { blocksFrom, TEMPLATE_NAMES, type TemplateName } from './templates.js';
export {
  beginPlan,
  nowIn,
  paused,
  toBlock,
  withPresent,
  type PlanNow,
  type PlanRun,
  type RunMoment,
} from './run.js';
export {
  daysLater,
  HOME_MINUTES,
  inWeeksFrom,
  LIGHTER_SHARE,
  lighter,
  LONGEST_WEEK_NOTE,
  mondayOf,
  MOST_WEEKS,
  programmeFindings,
  sixWeeks,
  THEMES,
  trainingDays,
  usualWeek,
  WEEK_KINDS,
  weekdayOf,
  weekOf,
  type OfProgramme,
  type Programme,
  type ProgrammeFinding,
  type ProgrammeWeek,
  type Theme,
  type WeekKind,
} from './weeks.js';
