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
  TIMING_SOURCES,
  type EventName,
  type TimedEvent,
  type TimingSource,
} from './events.js';
export {
  DEFAULT_FALSE_START_MS,
  DEFAULT_RESPONSE_LIMIT_MS,
  FAULTS,
  readRep,
  standing,
  withNextCues,
  type Fault,
  type LeftOutReason,
  type Rep,
  type RepReading,
  type RepSettings,
} from './rep.js';
export { probabilityUnder, SURE, verdictOf, type Verdict } from './verdict.js';
