import { effectiveReps, eventOf, type TimedEvent } from '../timing/index.js';
import { currentCue, type Action, type RecordedRep, type Run } from './run.js';

const timeOf = (rep: RecordedRep, name: 'cue' | 'home'): number | undefined =>
  eventOf(rep.events, name)?.atMs;

/** The finished rep during which a time falls, or the last one before it. */
function repBefore(run: Run, atMs: number): RecordedRep | undefined {
  const begun = effectiveReps(run.recorded).filter(
    (rep) => (timeOf(rep, 'cue') ?? Infinity) <= atMs,
  );
  return begun.sort((a, b) => (timeOf(a, 'cue') ?? 0) - (timeOf(b, 'cue') ?? 0)).at(-1);
}

/** The target of the current cue. */
function goal(run: Run): string | null {
  const cue = currentCue(run);
  return cue?.switchTo?.target ?? cue?.target ?? run.open.called;
}

/**
 * Which rep a device's event belongs to, by its time alone: events come late and out of order.
 * `null` when it belongs to none: somebody passed a light that was not called, or walked about.
 * `newId` names the correction that an event found late makes.
 */
export function placeEvent(
  run: Run,
  place: string,
  event: TimedEvent,
  newId: () => string,
): Exclude<Action, { type: 'started' }> | null {
  // A light may show the cue before this screen does.
  const cueMs = eventOf(run.open.events, 'cue')?.atMs ?? run.open.lit?.atMs;
  const isOpen = run.state === 'cued' || run.state === 'waiting';
  if (isOpen && cueMs !== undefined && event.atMs >= cueMs)
    return place === 'home' || place === goal(run) ? { type: 'event', event } : null;

  const rep = repBefore(run, event.atMs);
  const isAfterHome = rep === undefined || event.atMs > (timeOf(rep, 'home') ?? Infinity);
  // Between home and the next cue only a false start is possible.
  if (isAfterHome) return event.name === 'firstMove' ? { type: 'event', event } : null;
  const cue = run.plan.cues.find(({ ordinal }) => ordinal === rep.ordinal);
  const wanted = cue?.switchTo?.target ?? rep.target;
  return place === 'home' || place === wanted
    ? { type: 'event found', repId: rep.id, newId: newId(), event }
    : null;
}
