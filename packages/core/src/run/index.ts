export { CATCH_HOLD_MS, expectedMs, homeForSureMs, positionMs, type Expected } from './expected.js';
export { placeEvent } from './place-event.js';
export { SET_SOURCES, type RunPlan, type SetSource } from './plan.js';
export { beginRota, MOST_IN_ROTA, nextTurn, restEndsAt, turnOf, type Rota } from './rota.js';
export {
  addedSoFar,
  apply,
  cueDueMs,
  currentCue,
  END_REASONS,
  everyMsNow,
  finishedReps,
  hasTechniqueGone,
  isEventOpen,
  lastRep,
  LEAD_IN_MS,
  replay,
  repsDue,
  RUN_STATES,
  settingsOf,
  staircaseOf,
  workMsOf,
  type Action,
  type EndReason,
  type OpenRep,
  type RecordedRep,
  type Run,
  type RunState,
} from './run.js';
export { trackOf, type Track, type TrackSound } from './track.js';
