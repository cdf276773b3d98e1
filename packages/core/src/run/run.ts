import type { Cue } from '../cue/index.js';
import { addedReps, dueMs, techniqueWent } from '../drill/index.js';
import { readStaircase, type StaircaseReading } from '../progress/index.js';
import {
  checkEvents,
  effectiveReps,
  eventOf,
  readReps,
  type EventName,
  type Fault,
  type Rep,
  type RepMarks,
  type RepReading,
  type RepSettings,
  type TimedEvent,
} from '../timing/index.js';
import type { RunPlan } from './plan.js';

/** A finished rep with its id, and that of the rep it replaces. */
export interface RecordedRep extends Rep {
  readonly id: string;
  readonly marks: RepMarks | null;
  readonly replaces: string | null;
}

/** How a set may end. */
export const END_REASONS = ['completed', 'stopped early', 'technique went'] as const;
export type EndReason = (typeof END_REASONS)[number];

/** An action in a drill. The log of actions is the drill: replaying it gives the same run. */
export type Action<Plan extends RunPlan = RunPlan> =
  | { readonly type: 'started'; readonly plan: Plan }
  | {
      readonly type: 'cued';
      readonly repId: string;
      readonly cue: TimedEvent;
      /** The called target, in a set called live. */
      readonly target?: string;
    }
  /** A light showed the cue of the current rep, or of the next one. */
  | { readonly type: 'lit'; readonly cue: TimedEvent }
  /** A catch trial ended without a move. */
  | { readonly type: 'held'; readonly repId: string; readonly atMs: number }
  | {
      readonly type: 'event';
      readonly event: TimedEvent;
      readonly seenFaults?: readonly Fault[];
    }
  /** Nobody responded, or came home, in time. */
  | { readonly type: 'ran out'; readonly atMs: number }
  /** The time of a timed set is up. */
  | { readonly type: 'time up' }
  | { readonly type: 'paused'; readonly atMs: number }
  | { readonly type: 'resumed'; readonly atMs: number }
  | { readonly type: 'redone'; readonly atMs: number }
  /** Strikes a rep out, or restores it. */
  | { readonly type: 'struck'; readonly repId: string; readonly newId: string }
  /** Reports a fault of a rep, or takes it back. */
  | {
      readonly type: 'fault seen';
      readonly repId: string;
      readonly newId: string;
      readonly fault: Fault;
      /** When it was reported; absent in old logs. */
      readonly atMs?: number;
    }
  /** A late event of a finished rep. */
  | {
      readonly type: 'event found';
      readonly repId: string;
      readonly newId: string;
      readonly event: TimedEvent;
    }
  | {
      readonly type: 'marked';
      readonly repId: string;
      readonly newId: string;
      readonly marks: RepMarks;
    }
  | { readonly type: 'ended'; readonly at: string };

/**
 * `complete`: all cues are answered, the time is up or technique has failed; the last rep can still be redone or
 * struck out.
 */
export const RUN_STATES = ['waiting', 'cued', 'paused', 'complete', 'ended'] as const;
export type RunState = (typeof RUN_STATES)[number];

/** The state of a set. */
export interface Run<Plan extends RunPlan = RunPlan> {
  readonly plan: Plan;
  readonly state: RunState;
  /** Number of the current cue. */
  readonly ordinal: number;
  /** Counts waits for a cue, including repeated ones. */
  readonly attempt: number;
  /** When the athlete was ready for it. */
  readonly readyMs: number;
  /** The previous cue, at a fixed pace; `null` before the first and after a pause. */
  readonly lastCueMs: number | null;
  /** When a timed set ends. */
  readonly workEndsMs: number | null;
  readonly pausedAtMs: number | null;
  readonly open: OpenRep;
  /** All finished reps and corrections, in the order they were made. */
  readonly recorded: readonly RecordedRep[];
  /** The rep that the current one will replace. */
  readonly redoOf: string | null;
  readonly endReason: EndReason | null;
}

/** The current rep. */
export interface OpenRep {
  /** `null` until it is cued. */
  readonly repId: string | null;
  /** The called target, in a set called live. */
  readonly called: string | null;
  /** When a light showed the cue, until the screen has shown it as well. */
  readonly lit: TimedEvent | null;
  readonly events: readonly TimedEvent[];
  readonly faults: readonly Fault[];
  readonly marks: RepMarks | null;
}

/** Time from the start to the first foreperiod. */
export const LEAD_IN_MS = 1500;

const NOTHING_OPEN: OpenRep = {
  repId: null,
  called: null,
  lit: null,
  events: [],
  faults: [],
  marks: null,
};

const begin = <Plan extends RunPlan>(plan: Plan): Run<Plan> => ({
  plan,
  state: 'waiting',
  ordinal: 1,
  attempt: 1,
  readyMs: LEAD_IN_MS,
  lastCueMs: null,
  workEndsMs: plan.conditions.workMs === null ? null : LEAD_IN_MS + plan.conditions.workMs,
  pausedAtMs: null,
  open: NOTHING_OPEN,
  recorded: [],
  redoOf: null,
  endReason: null,
});

/** Finished reps as last corrected, in the order of their cues. */
export const finishedReps = (run: Run): RecordedRep[] =>
  effectiveReps(run.recorded).sort((a, b) => a.ordinal - b.ordinal);

/** The last finished rep that has not been replaced. */
export const lastRep = (run: Run): RecordedRep | undefined =>
  effectiveReps(run.recorded).reduce<RecordedRep | undefined>((last, rep) => {
    const cueAt = (of: RecordedRep) => eventOf(of.events, 'cue')?.atMs ?? 0;
    return last && cueAt(last) > cueAt(rep) ? last : rep;
  }, undefined);

const waitFor = <Plan extends RunPlan>(
  run: Run<Plan>,
  ordinal: number,
  readyMs: number,
): Run<Plan> => ({
  ...run,
  state: 'waiting',
  ordinal,
  readyMs,
  attempt: run.attempt + 1,
  open: NOTHING_OPEN,
});

/** The current cue; `undefined` in a set called live. */
export const currentCue = (run: Run): Cue | undefined => run.plan.cues[run.ordinal - 1];

/** Whether an event can still be timed in the current rep. */
export const isEventOpen = (run: Run, name: EventName): boolean =>
  (run.state === 'cued' || (run.state === 'waiting' && name === 'firstMove')) &&
  !eventOf(run.open.events, name);

/** A staircase's state; `null` at any other pace. */
export const staircaseOf = ({ plan, recorded }: Run): StaircaseReading | null =>
  plan.conditions.pace.kind === 'staircase'
    ? readStaircase(readReps(recorded, plan.cues, settingsOf(plan)), plan.conditions.pace)
    : null;

const readingsOf = ({ plan, recorded }: Run): RepReading[] =>
  readReps(recorded, plan.cues, settingsOf(plan));

/** How many reps lost ones have added so far, in a pressure set. */
export const addedSoFar = (run: Run): number => {
  const { workMs, lossCost } = run.plan.conditions;
  return workMs === null && lossCost ? addedReps(readingsOf(run), lossCost) : 0;
};

/** The current number of reps, including added ones. */
export const repsDue = (run: Run): number => run.plan.reps + addedSoFar(run);

/** Whether technique has failed, in a set that ends with it. */
export const hasTechniqueGone = (run: Run): boolean =>
  run.plan.conditions.endsOnFaults === true &&
  techniqueWent(readingsOf(run), run.plan.conditions.watched);

/** Current time from cue to cue, ms; `null` at the athlete's own pace. */
export const everyMsNow = (run: Run): number | null =>
  staircaseOf(run)?.nextMs ?? run.plan.conditions.pace.everyMs;

/** When the next cue is due, on the set's clock. */
export const cueDueMs = (run: Run): number =>
  dueMs(everyMsNow(run), {
    readyMs: run.readyMs,
    foreperiodMs: currentCue(run)?.foreperiodMs ?? 0,
    lastCueMs: run.lastCueMs,
  });

/** Number of the next cue without a rep. */
function nextOrdinal(run: Run): number | undefined {
  const done = new Set(run.recorded.map(({ ordinal }) => ordinal));
  return Array.from({ length: repsDue(run) }, (_, i) => i + 1).find(
    (ordinal) => !done.has(ordinal),
  );
}

/** A cue is perceivable from the first moment that anything shows it. */
const earlier = (cue: TimedEvent, lit: TimedEvent | null): TimedEvent =>
  lit && lit.atMs < cue.atMs ? lit : cue;

function light<Plan extends RunPlan>(run: Run<Plan>, lit: TimedEvent): Run<Plan> {
  if (run.state === 'waiting')
    return { ...run, open: { ...run.open, lit: earlier(lit, run.open.lit) } };
  if (run.state !== 'cued') return run;
  const events = run.open.events.map((event) =>
    event.name === 'cue' ? earlier(event, lit) : event,
  );
  return { ...run, open: { ...run.open, events } };
}

const complete = <Plan extends RunPlan>(run: Run<Plan>): Run<Plan> => ({
  ...run,
  state: 'complete',
  open: NOTHING_OPEN,
});

/** Closes the current rep and waits for the next cue. */
function close<Plan extends RunPlan>(
  run: Run<Plan>,
  readyMs: number,
  repId = run.open.repId,
): Run<Plan> {
  const { called, events, faults, marks } = run.open;
  const target = called ?? currentCue(run)?.target;
  if (repId === null || target === undefined) return run;
  const rep: RecordedRep = {
    id: repId,
    ordinal: run.ordinal,
    target,
    events: [...events],
    seenFaults: [...faults],
    struckOut: false,
    marks,
    replaces: run.redoOf,
  };
  const after: Run<Plan> = {
    ...run,
    recorded: [...run.recorded, rep],
    redoOf: null,
    lastCueMs: eventOf(events, 'cue')?.atMs ?? null,
  };
  const next = nextOrdinal(after);
  const worked = run.workEndsMs !== null && readyMs >= run.workEndsMs;
  return next === undefined || worked || hasTechniqueGone(after)
    ? complete(after)
    : waitFor(after, next, readyMs);
}

function addEvent<Plan extends RunPlan>(
  run: Run<Plan>,
  { event, seenFaults = [] }: Extract<Action, { type: 'event' }>,
): Run<Plan> {
  // Before its cue a rep can only contain an early split-step or a false start.
  const canComeEarly = ['splitTakeoff', 'splitLanding', 'firstMove'].includes(event.name);
  // If a light has shown the cue while this screen was held up the rep has begun.
  const { lit } = run.open;
  const isUnderWay = lit !== null && event.atMs >= lit.atMs && event.name !== 'home';
  if (run.state !== 'cued' && !(run.state === 'waiting' && (canComeEarly || isUnderWay)))
    return run;
  if (eventOf(run.open.events, event.name)) return run;
  const events = [...run.open.events, event];
  // A press that would come after a later event is ignored: the first one counts.
  if (run.state === 'cued' && !checkEvents(events).ok) return run;
  const faults = [...new Set([...run.open.faults, ...seenFaults])];
  const open = { ...run, open: { ...run.open, events, faults } };
  // A frozen athlete stays where they are until the coach has looked.
  const isFrozen = currentCue(run)?.freezeAt !== undefined;
  return event.name === 'home' && !isFrozen ? close(open, event.atMs) : open;
}

function redo<Plan extends RunPlan>(run: Run<Plan>, atMs: number): Run<Plan> {
  if (run.state === 'ended') return run;
  if (run.state === 'cued') return waitFor(run, run.ordinal, atMs);
  const last = lastRep(run);
  return last ? { ...waitFor(run, last.ordinal, atMs), redoOf: last.id } : run;
}

interface Amendment {
  readonly repId: string;
  readonly newId: string;
}

/** Changes the current rep, or adds a correction of a finished one. */
function amend<Plan extends RunPlan>(
  run: Run<Plan>,
  { repId, newId }: Amendment,
  change: (rep: Pick<RecordedRep, 'seenFaults' | 'marks'>) => Partial<RecordedRep>,
): Run<Plan> {
  if (run.state === 'ended') return run;
  if (run.open.repId === repId) {
    const { faults, marks } = run.open;
    const changed = change({ seenFaults: [...faults], marks });
    return {
      ...run,
      open: { ...run.open, faults: changed.seenFaults ?? faults, marks: changed.marks ?? marks },
    };
  }
  const rep = effectiveReps(run.recorded).find(({ id }) => id === repId);
  if (!rep) return run;
  return {
    ...run,
    recorded: [...run.recorded, { ...rep, ...change(rep), id: newId, replaces: rep.id }],
    redoOf: run.redoOf === repId ? newId : run.redoOf,
  };
}

/** Adds a late event to its rep, unless it has that event or the event does not fit. */
function addFound<Plan extends RunPlan>(
  run: Run<Plan>,
  action: Extract<Action, { type: 'event found' }>,
): Run<Plan> {
  const rep = effectiveReps(run.recorded).find(({ id }) => id === action.repId);
  if (!rep || eventOf(rep.events, action.event.name)) return run;
  const events = [...rep.events, action.event];
  return checkEvents(events, false).ok ? amend(run, action, () => ({ events })) : run;
}

const strike = <Plan extends RunPlan>(run: Run<Plan>, action: Amendment): Run<Plan> =>
  run.open.repId === action.repId
    ? run
    : amend(run, action, () => {
        const rep = run.recorded.find(({ id }) => id === action.repId);
        return { struckOut: !rep?.struckOut };
      });

const toggled = <T>(items: readonly T[], item: T): T[] =>
  items.includes(item) ? items.filter((each) => each !== item) : [...items, item];

function resume<Plan extends RunPlan>(run: Run<Plan>, atMs: number): Run<Plan> {
  const idleMs = run.pausedAtMs === null ? 0 : Math.max(0, atMs - run.pausedAtMs);
  return {
    ...waitFor(run, run.ordinal, atMs),
    lastCueMs: null,
    pausedAtMs: null,
    workEndsMs: run.workEndsMs === null ? null : run.workEndsMs + idleMs,
  };
}

/**
 * Updates the wait after a report about a finished rep: the set ends if technique has failed or no reps are due, and
 * continues if the report is taken back or adds reps.
 */
function settle<Plan extends RunPlan>(run: Run<Plan>, atMs = run.readyMs): Run<Plan> {
  if (run.redoOf !== null || run.workEndsMs !== null) return run;
  const next = nextOrdinal(run);
  const isOver = next === undefined || hasTechniqueGone(run);
  if (run.state === 'waiting' && isOver) return complete(run);
  return run.state === 'complete' && !isOver ? waitFor(run, next, atMs) : run;
}

function endReasonOf(run: Run): EndReason {
  if (run.state !== 'complete') return 'stopped early';
  return hasTechniqueGone(run) ? 'technique went' : 'completed';
}

/** Applies an action to a run. An action that is impossible in its state leaves it unchanged. */
export function apply<Plan extends RunPlan>(
  run: Run<Plan> | null,
  action: Action<Plan>,
): Run<Plan> | null {
  if (action.type === 'started') return run ?? begin(action.plan);
  if (!run) return null;
  switch (action.type) {
    case 'cued':
      if (run.state !== 'waiting') return run;
      return {
        ...run,
        state: 'cued',
        open: {
          ...run.open,
          repId: action.repId,
          called: action.target ?? null,
          lit: null,
          events: [...run.open.events, earlier(action.cue, run.open.lit)],
        },
      };
    case 'lit':
      return light(run, action.cue);
    case 'held':
      return run.state === 'waiting' ? close(run, action.atMs, action.repId) : run;
    case 'event':
      return addEvent(run, action);
    case 'ran out':
      return run.state === 'cued' ? close(run, action.atMs) : run;
    case 'time up':
      return run.state === 'waiting' ? complete(run) : run;
    case 'paused':
      return run.state === 'waiting' || run.state === 'cued'
        ? { ...run, state: 'paused', open: NOTHING_OPEN, pausedAtMs: action.atMs }
        : run;
    case 'resumed':
      return run.state === 'complete' || run.state === 'ended' ? run : resume(run, action.atMs);
    case 'redone':
      return redo(run, action.atMs);
    case 'struck':
      return settle(strike(run, action));
    case 'fault seen':
      return settle(
        amend(run, action, ({ seenFaults }) => ({
          seenFaults: toggled(seenFaults, action.fault),
        })),
        action.atMs,
      );
    case 'event found':
      return addFound(run, action);
    case 'marked':
      return amend(run, action, ({ marks }) => ({ marks: { ...marks, ...action.marks } }));
    case 'ended':
      if (run.state === 'ended') return run;
      return {
        ...run,
        state: 'ended',
        open: NOTHING_OPEN,
        endReason: endReasonOf(run),
      };
  }
}

/** Replays a log of actions; `null` if it is empty. */
export const replay = <Plan extends RunPlan>(actions: readonly Action<Plan>[]): Run<Plan> | null =>
  actions.reduce<Run<Plan> | null>(apply, null);

/** The settings for reading the set's reps. */
export const settingsOf = ({
  falseStartMs,
  responseLimitMs,
  pattern,
  conditions,
  source,
}: RunPlan): RepSettings => ({
  falseStartMs,
  responseLimitMs,
  splitWindowMs: pattern.splitWindowMs,
  allTheWayHome: conditions.homeRule === 'all the way home',
  isTimed: source !== 'none',
  isFromFilm: source === 'film',
});

/** How long the athlete worked: from the set's start to its last event, ms. */
export const workMsOf = (run: Run): number =>
  Math.max(
    0,
    ...finishedReps(run).flatMap(({ events }) => events.map(({ atMs }) => atMs - LEAD_IN_MS)),
  );
