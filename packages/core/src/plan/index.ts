export {
  BLOCK_BOUNDS,
  BLOCK_KINDS,
  HELPER_ROLES,
  LONGEST_NEEDS,
  LONGEST_TITLE,
  MOST_BLOCKS,
  MOST_PLANNED,
  OBJECTS,
  trainedBy,
  usualBlock,
  type Block,
  type BlockKind,
  type HelperRole,
  type PlayObject,
  type Trained,
} from './block.js';
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
export { overDays, spaceNeeded, weekAtHome } from './home-practice.js';
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
  rotation,
  sharesOf,
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
  doneAgainstPlanned,
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
  type Held,
  type OfProgramme,
  type Programme,
  type ProgrammeFinding,
  type ProgrammeWeek,
  type Theme,
  type WeekDone,
  type WeekKind,
} from './weeks.js';
