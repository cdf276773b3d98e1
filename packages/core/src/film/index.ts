export {
  alignByMarks,
  alignCues,
  inRecording,
  onSetClock,
  SLOW_FACTORS,
  type Alignment,
} from './align.js';
export {
  distanceOf,
  FEWEST_PLACES,
  groundOf,
  inPicture,
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
export { findTones } from './tones.js';
