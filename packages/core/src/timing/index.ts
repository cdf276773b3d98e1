export { calibrate, CALIBRATION_BEEPS, type Calibration } from './calibration.js';
export { matchClock, toLocal, toRemote, type ClockExchange, type ClockMatch } from './clock.js';
export {
  DURATION_NAMES,
  durationsOf,
  endsOf,
  type Duration,
  type DurationName,
  type Durations,
} from './durations.js';
export { durationSdMs, frameSdMs, HAND_SD_MS } from './error.js';
export {
  checkEvents,
  EVENT_NAMES,
  eventOf,
  MAX_SD_MS,
  TIMING_SOURCES,
  type EventName,
  type TimedEvent,
  type TimingSource,
} from './events.js';
export {
  FAULTS,
  LONGEST_FAULT_NAME,
  LONGEST_FAULT_WORDS,
  MOST_WATCHED,
  OWN_FAULTS,
  SEEN_FAULTS,
  type Fault,
  type FaultWords,
} from './faults.js';
export {
  checkCoachEventName,
  LONGEST_EVENT_NAME,
  MOST_COACH_EVENTS,
  coachDuration,
  coachEventNames,
  TAKEN_EVENT_NAMES,
  type CoachEvent,
} from './coach-events.js';
export {
  catchTrials,
  cuedReps,
  USUAL_FALSE_START_MS,
  USUAL_RESPONSE_LIMIT_MS,
  hasNoneOf,
  readRep,
  readReps,
  effectiveReps,
  withNextCues,
  type LeftOutReason,
  type RecordedRep,
  type Rep,
  type RepMarks,
  type RepReading,
  type RepSettings,
} from './rep.js';
export { probabilityUnder, SURE, verdictOf, type Verdict } from './verdict.js';
