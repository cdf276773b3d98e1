export {
  alignByMarks,
  alignCues,
  asHeardByAthlete,
  inRecording,
  onSetClock,
  SLOW_FACTORS,
  type SlowFactor,
  SOUND_MS_PER_M,
  type Alignment,
  type SoundWay,
} from './align.js';
export { angleAt, DRAWN_KINDS, drawnFrom, leanOf, type Drawn, type DrawnKind } from './drawing.js';
export {
  distanceOf,
  FEWEST_PLACES,
  groundOf,
  inPicture,
  lineInPicture,
  onFloor,
  type FloorPlace,
  type Ground,
  type KnownPlace,
} from './ground.js';
export {
  frameAt,
  frameRate,
  markAt,
  repeatabilityMs,
  usualRepeatabilityMs,
  type Mark,
} from './mark.js';
export {
  filmedReps,
  seenBy,
  USUAL_CAMERA,
  whereAt,
  type Camera,
  type FilmedRep,
  type SetToFilm,
} from './simulated-film.js';
export {
  anglesOver,
  BODY_ANGLES,
  BODY_LINES,
  BODY_POINTS,
  bodyAngles,
  cropOfBody,
  foundBody,
  fromCrop,
  LEAST_SEEN,
  MODEL_PX,
  MODEL_VALUES,
  withPoint,
  type AngleOver,
  type Body,
  type BodyAngles,
  type BodyCrop,
  type BodyPoint,
  type BodyPointName,
  type FoundBody,
} from './body.js';
export { figureAt, figureSeenBy, type Figure, type FigurePoint } from './simulated-figure.js';
export { captureRate, slowFactor } from './capture.js';
export {
  betterRep,
  checkSeen,
  checksHeld,
  cueInRecording,
  cueKnown,
  eventFrame,
  FEWEST_TWICE,
  isMarked,
  MARKED,
  markedEvents,
  markedTwice,
  mirrorRep,
  NOTHING_MARKED,
  tiedByHand,
  tieOfRep,
  withCheck,
  withFault,
  withMark,
  withMissed,
  type CueKnown,
  type FilmRep,
  type Marked,
  type Marks,
  type RepMarks,
  type Twice,
} from './marks.js';
export {
  filmedSteps,
  legOnFilm,
  type FilmedStep,
  type FootClick,
  type StepReading,
} from './steps.js';
export {
  cameraShift,
  firstMoveSpan,
  middleOfMoved,
  stillBackground,
  type Grey,
  type PlaceSeen,
  type Span,
} from './motion.js';
export { findTones } from './tones.js';
export { marksVtt, vttTime, type VttMark } from './vtt.js';
