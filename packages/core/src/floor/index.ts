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
export { snapped, type SnapLines } from './snap.js';
export {
  courtMarks,
  placeOnCourt,
  withinCourt,
  type CourtMark,
  type CourtMarks,
  type PlaceOnCourt,
} from './court-marks.js';
export { COURT_NAMES, courtOf, COURTS, hasOwnSize, type CourtName } from './courts.js';
