import type {
  AthleteReply,
  DrillSetBody,
  EndReason,
  PatternReply,
  RepReply,
  SetEndBody,
} from '@orthokin/contract';
import type { Cue } from '@orthokin/core/cue';
import type { SimulatedAthlete } from '@orthokin/core/simulation';
import {
  checkEvents,
  eventOf,
  standing,
  type Fault,
  type TimedEvent,
  type TimingSource,
} from '@orthokin/core/timing';
import type { Outgoing } from '../log/store.js';

/** Everything that is settled when a set starts; enough to run it with no network at all. */
export interface DrillPlan {
  readonly id: string;
  readonly clubId: string;
  readonly athlete: AthleteReply;
  readonly pattern: PatternReply;
  readonly rung: number;
  readonly source: Extract<TimingSource, 'hand' | 'simulated'>;
  readonly seed: number;
  readonly cues: readonly Cue[];
  readonly falseStartMs: number;
  readonly responseLimitMs: number;
  /** ISO 8601; the zero of the set's clock. */
  readonly startedAt: string;
  readonly day: string;
  readonly withTone: boolean;
  readonly sessionsBefore: number;
  readonly simulated: SimulatedAthlete;
}

/** What can happen in a drill. The log of these is the drill: replayed, it gives the same run. */
export type Action =
  | { readonly type: 'started'; readonly plan: DrillPlan }
  | { readonly type: 'cued'; readonly repId: string; readonly cue: TimedEvent }
  | {
      readonly type: 'event';
      readonly event: TimedEvent;
      readonly seenFaults?: readonly Fault[];
    }
  /** No response, or no way home, within the limit. */
  | { readonly type: 'ran out'; readonly atMs: number }
  | { readonly type: 'paused' }
  | { readonly type: 'resumed'; readonly atMs: number }
  | { readonly type: 'redone'; readonly atMs: number }
  /** Strikes a rep out, or takes that back. */
  | { readonly type: 'struck'; readonly repId: string; readonly newId: string }
  | { readonly type: 'ended'; readonly at: string };

export interface Run {
  readonly plan: DrillPlan;
  /** `complete`: every cue has its rep, and the last can still be redone or struck out. */
  readonly state: 'waiting' | 'cued' | 'paused' | 'complete' | 'ended';
  /** The cue being waited for or answered. */
  readonly ordinal: number;
  /** Grows with every wait for a cue, also for the same cue again. */
  readonly attempt: number;
  /** When the athlete was ready for it. */
  readonly readyMs: number;
  readonly open: { readonly repId: string | null; readonly events: readonly TimedEvent[] };
  /** Every rep that was finished, and every correction, in the order they were made. */
  readonly recorded: readonly RepReply[];
  /** The rep that the open one will replace. */
  readonly redoOf: string | null;
  readonly endReason: EndReason | null;
}

/** From pressing start to the first foreperiod. */
export const LEAD_IN_MS = 1500;

const NOTHING_OPEN = { repId: null, events: [] } as const;

const begin = (plan: DrillPlan): Run => ({
  plan,
  state: 'waiting',
  ordinal: 1,
  attempt: 1,
  readyMs: LEAD_IN_MS,
  open: NOTHING_OPEN,
  recorded: [],
  redoOf: null,
  endReason: null,
});

export const finishedReps = (run: Run): RepReply[] =>
  standing(run.recorded).sort((a, b) => a.ordinal - b.ordinal);

/** The rep that was finished last and still stands. */
export const lastRep = (run: Run): RepReply | undefined =>
  standing(run.recorded).reduce<RepReply | undefined>((last, rep) => {
    const cueAt = (of: RepReply) => eventOf(of.events, 'cue')?.atMs ?? 0;
    return last && cueAt(last) > cueAt(rep) ? last : rep;
  }, undefined);

const waitFor = (run: Run, ordinal: number, readyMs: number): Run => ({
  ...run,
  state: 'waiting',
  ordinal,
  readyMs,
  attempt: run.attempt + 1,
  open: NOTHING_OPEN,
});

/** Closes the open rep and waits for the next cue that has none yet. */
function close(run: Run, readyMs: number, seenFaults: readonly Fault[]): Run {
  const { repId, events } = run.open;
  const cue = run.plan.cues[run.ordinal - 1];
  if (repId === null || !cue) return run;
  const rep: RepReply = {
    id: repId,
    ordinal: run.ordinal,
    target: cue.target,
    events: [...events],
    seenFaults: [...seenFaults],
    struckOut: false,
    replaces: run.redoOf,
  };
  const after = { ...run, recorded: [...run.recorded, rep], redoOf: null };
  const done = new Set(after.recorded.map(({ ordinal }) => ordinal));
  const next = run.plan.cues.find(({ ordinal }) => !done.has(ordinal));
  return next
    ? waitFor(after, next.ordinal, readyMs)
    : { ...after, state: 'complete', open: NOTHING_OPEN };
}

function addEvent(run: Run, { event, seenFaults = [] }: Extract<Action, { type: 'event' }>): Run {
  // Before its cue a rep can only begin wrongly: by a split-step, which may be early, or a move.
  const canComeEarly = ['splitTakeoff', 'splitLanding', 'firstMove'].includes(event.name);
  if (run.state !== 'cued' && !(run.state === 'waiting' && canComeEarly)) return run;
  if (eventOf(run.open.events, event.name)) return run;
  const events = [...run.open.events, event];
  // A press that comes after a later event's cannot be placed: the first word stands.
  if (run.state === 'cued' && !checkEvents(events).ok) return run;
  const open = { ...run, open: { ...run.open, events } };
  return event.name === 'home' ? close(open, event.atMs, seenFaults) : open;
}

function redo(run: Run, atMs: number): Run {
  if (run.state === 'ended') return run;
  if (run.state === 'cued') return waitFor(run, run.ordinal, atMs);
  const last = lastRep(run);
  return last ? { ...waitFor(run, last.ordinal, atMs), redoOf: last.id } : run;
}

function strike(run: Run, repId: string, newId: string): Run {
  const rep = standing(run.recorded).find(({ id }) => id === repId);
  if (!rep || run.state === 'ended') return run;
  const correction = { ...rep, id: newId, struckOut: !rep.struckOut, replaces: rep.id };
  return {
    ...run,
    recorded: [...run.recorded, correction],
    redoOf: run.redoOf === repId ? newId : run.redoOf,
  };
}

/** What an action makes of a run. An action that has no place in it gives the same run back. */
export function apply(run: Run | null, action: Action): Run | null {
  if (action.type === 'started') return run ?? begin(action.plan);
  if (!run) return null;
  switch (action.type) {
    case 'cued':
      if (run.state !== 'waiting') return run;
      return {
        ...run,
        state: 'cued',
        open: { repId: action.repId, events: [...run.open.events, action.cue] },
      };
    case 'event':
      return addEvent(run, action);
    case 'ran out':
      return run.state === 'cued' ? close(run, action.atMs, []) : run;
    case 'paused':
      return run.state === 'waiting' || run.state === 'cued'
        ? { ...run, state: 'paused', open: NOTHING_OPEN }
        : run;
    case 'resumed':
      return run.state === 'complete' || run.state === 'ended'
        ? run
        : waitFor(run, run.ordinal, action.atMs);
    case 'redone':
      return redo(run, action.atMs);
    case 'struck':
      return strike(run, action.repId, action.newId);
    case 'ended':
      if (run.state === 'ended') return run;
      return {
        ...run,
        state: 'ended',
        open: NOTHING_OPEN,
        endReason: run.state === 'complete' ? 'completed' : 'stopped early',
      };
  }
}

export const replay = (actions: readonly unknown[]): Run | null =>
  (actions as readonly Action[]).reduce<Run | null>(apply, null);

/** The set as the server is told of it. */
export const setBody = ({ plan }: Run): DrillSetBody => ({
  athleteId: plan.athlete.id,
  patternId: plan.pattern.id,
  patternVersion: plan.pattern.version,
  rung: plan.rung,
  source: plan.source,
  startedAt: plan.startedAt,
  day: plan.day,
  seed: plan.seed,
  falseStartMs: plan.falseStartMs,
  responseLimitMs: plan.responseLimitMs,
  cues: [...plan.cues],
});

/**
 * What the server must learn because a run went from `before` to `after`. A set without a single
 * finished rep is never sent: it would be an empty set in the athlete's history.
 */
export function outgoing(before: Run | null, after: Run, action: Action): Outgoing[] {
  const { id: drillId, clubId } = after.plan;
  const path = `clubs/${clubId}/sets/${drillId}`;
  const items: Outgoing[] = after.recorded
    .slice(before?.recorded.length ?? 0)
    .map(({ id, ...body }) => ({ drillId, path: `${path}/reps/${id}`, body }));
  if (items.length > 0 && (before?.recorded.length ?? 0) === 0)
    items.unshift({ drillId, path, body: setBody(after) });
  if (action.type === 'ended' && before?.state !== 'ended' && after.recorded.length > 0) {
    const body: SetEndBody = { endedAt: action.at, reason: after.endReason ?? 'stopped early' };
    items.push({ drillId, path: `${path}/end`, body });
  }
  return items;
}
