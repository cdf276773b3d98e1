export { checkFootwork, checkLeg, MAX_DETOUR } from './checks.js';
export {
  changesOfDirection,
  detourRatio,
  legFigures,
  shortOfHomeM,
  stepLengthsM,
  patternFigures,
  type LegFigures,
  type PatternFigures,
  type WayFigures,
} from './figures.js';
export { acceptedAs, CHECKS, findingKey, type CheckName, type Finding } from './findings.js';
export { onScale } from './on-scale.js';
export { layLeg, readyStance, usualPlan } from './lay.js';
export { blankPattern } from './blank.js';
export {
  contactsOf,
  feetAt,
  phaseSpans,
  playSpan,
  type Contact,
  type MovingFoot,
  type PhaseSpan,
  type Span,
} from './play.js';
export {
  FASTEST_WALK,
  LONGEST_HOLD_MS,
  MANNERS,
  rehearsalMs,
  rehearsalOf,
  sidesInTurn,
  SLOWEST_WALK,
  USUAL_REHEARSAL,
  type Manner,
  type RehearsalCall,
  type RehearsalSettings,
} from './rehearsal.js';
export { applyTaps, rhythmOf, type Rhythm, type Tap, type Tapped } from './rhythm.js';
export { midpointPath, outTimes, pathsOf, stepsOf, type Step } from './steps.js';
