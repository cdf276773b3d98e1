export {
  along,
  distance,
  dot,
  headed,
  heading,
  HOME,
  midpoint,
  minus,
  mirrorPoint,
  offset,
  otherSide,
  pathLength,
  sideOf,
  SIDES,
  sideSign,
  swapSides,
  turn,
  type Point,
  type Side,
} from './point.js';
export { LENGTH_UNITS, lengthWords, parseLength, type LengthUnit } from './length.js';
export {
  COLOUR_VISIONS,
  colourSeen,
  MARKER_COLOURS,
  MARKER_SHAPES,
  mirrorTarget,
  seenTargets,
  TARGET_KINDS,
  type ColourVision,
  type MarkerColour,
  type MarkerShape,
  type Target,
  type TargetKind,
} from './marker.js';
export {
  courtOnFloor,
  type Arc,
  type Court,
  type CourtOnFloor,
  type Line,
  type SizeM,
} from './court.js';
export { snapped } from './snap.js';
export { COURT_NAMES, courtOf, COURTS, hasOwnSize, type CourtName } from './courts.js';
