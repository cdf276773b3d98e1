export { shortOf, TYPICAL_BUILD, type Build } from './build.js';
export {
  changeLeg,
  changePlacement,
  insertPlacement,
  removePlacement,
  withLeg,
  withNotes,
  withoutTarget,
  withTarget,
  withTargets,
} from './edit.js';
export { LAYOUTS, layoutTargets, nextMarker, type Layout } from './layout.js';
export {
  arrivalMs,
  homeMs,
  INTENTS,
  LOAD_STANCES,
  loadIndex,
  mirrorLeg,
  RECOVERY_WAYS,
  TRAVEL_WAYS,
  type Intent,
  type Leg,
  type LegPlan,
  type LoadStance,
  type RecoveryWay,
  type TravelWay,
} from './leg.js';
export {
  MAX_CUE_WORDS,
  NO_NOTES,
  POSITION_NAMES,
  wordCount,
  type PositionName,
  type PositionNotes,
} from './notes.js';
export {
  legOf,
  MAX_RUNGS,
  MAX_TARGETS,
  mirrorPattern,
  NO_POSITIONS,
  rungOf,
  targetOf,
  type Accepted,
  type HomeBase,
  type Pattern,
} from './pattern.js';
export {
  baseWidth,
  PLACEMENT_PHASES,
  STEP_KINDS,
  type FootPlace,
  type Placement,
  type PlacementPhase,
  type Standing,
  type StepKind,
} from './placement.js';
export {
  addMovements,
  MOVEMENTS,
  movementsOfRep,
  NO_MOVEMENTS,
  type Movement,
  type MovementCounts,
} from './movements.js';
export { notesOf, positionOf, standingAfter, standings } from './position.js';
export {
  DOINGS,
  EVENT_ANCHORS,
  GATED_DURATIONS,
  LIMIT_SOURCES,
  limitAt,
  limitRange,
  limitsAt,
  limitsForAll,
  MOST_COACH_LIMITS,
  PRESSURES,
  raisedBy,
  RECKONINGS,
  RECORD_KINDS,
  RUNG_ORDERS,
  TARGETED_DURATIONS,
  USUAL_RUNG,
  withLimits,
  withTargetLimits,
  type Axis,
  type Doing,
  type EventAnchor,
  type GatedDuration,
  type LimitsMs,
  type LimitSource,
  type LimitSources,
  type CoachLimit,
  type Pressure,
  type RecordKind,
  type Reckoning,
  type Rung,
  type RungOrder,
  type TargetedDuration,
  type TargetLimit,
} from './rung.js';
export { stepUp, type StepUp } from './step-up.js';
export { bestLandmark, landmarksOf, tapeMarks, type Landmark, type TapeMark } from './set-out.js';
export { copyLegAcross, counterpartOf } from './sides.js';
export { checkPattern } from './valid.js';
