export { along, distance, heading, HOME, sideOf, type Point, type Side } from './point.js';
export {
  MARKER_COLOURS,
  MARKER_SHAPES,
  mirrorTarget,
  TARGET_KINDS,
  type MarkerColour,
  type MarkerShape,
  type Target,
  type TargetKind,
} from './marker.js';
export {
  COURT_NAMES,
  courtOnFloor,
  COURTS,
  type Court,
  type CourtName,
  type CourtOnFloor,
  type Line,
} from './court.js';
