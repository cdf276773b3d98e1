import type { RepReply } from '@orthokin/contract';
import { codeOf, type NameOfFault } from '../../parts/fault-names.js';
import {
  checkEvents,
  eventOf,
  HAND_SD_MS,
  type EventName,
  type TimedEvent,
} from '@orthokin/core/timing';
import type { Result } from '@orthokin/core/result';
import { ok } from '@orthokin/core/result';
import { ALIGN_WORDS } from '../../parts/ribbon/Axis.js';
import { signed } from '../../words/set.js';
import { say } from '../../words/review.js';
import { commaList, semicolonList } from '../../words/format.js';

/** A rep with an event moved to a time after its cue, ms. It was judged by eye, so its source is `hand`. */
export function moved(rep: RepReply, name: EventName, afterCueMs: number): Result<TimedEvent[]> {
  const cueMs = eventOf(rep.events, 'cue')?.atMs ?? 0;
  const events = rep.events.map((event): TimedEvent =>
    event.name === name
      ? { ...event, atMs: cueMs + afterCueMs, source: 'hand', sdMs: HAND_SD_MS }
      : event,
  );
  const checked = checkEvents(events, false);
  return checked.ok ? ok(events) : checked;
}

const eventWords = (name: EventName): string =>
  name in ALIGN_WORDS ? ALIGN_WORDS[name as 'cue'] : name;

/** Times of a rep's events, the coach's own included, by name. */
const momentsOf = ({ events, marks }: RepReply): ReadonlyMap<string, number> =>
  new Map([
    ...events.map(({ name, atMs }) => [eventWords(name), atMs] as const),
    ...(marks?.coachEvents ?? []).map(({ name, atMs }) => [name, atMs] as const),
  ]);

/** Describes what a correction changed. */
export function changeWords(
  before: RepReply,
  after: RepReply,
  nameOf: NameOfFault = codeOf,
): string {
  const parts: string[] = [];
  if (before.struckOut !== after.struckOut)
    parts.push(after.struckOut ? say('struckOut') : say('restored'));
  const moments = momentsOf(before);
  for (const [name, atMs] of momentsOf(after)) {
    const old = moments.get(name);
    if (old === undefined) parts.push(say('eventwordsAdded', { eventWords: name }));
    else if (old !== atMs)
      parts.push(say('eventwordsMovedAtmsS', { eventWords: name, atMs: signed(atMs - old) }));
  }
  const faults = (rep: RepReply) => commaList(rep.seenFaults.map(nameOf)) || say('noFaults');
  if (faults(before) !== faults(after)) parts.push(say('faultsFaults', { faults: faults(after) }));
  return semicolonList(parts) || say('runAgain');
}

export interface CorrectionLine {
  readonly rep: RepReply;
  readonly before: RepReply;
  readonly words: string;
  /** Whether nothing has replaced it since. */
  readonly stands: boolean;
}

/** All corrections of a set, newest first. */
export function correctionsOf(
  reps: readonly RepReply[],
  nameOf: NameOfFault = codeOf,
): CorrectionLine[] {
  const byId = new Map(reps.map((rep) => [rep.id, rep]));
  const replaced = new Set(reps.map(({ replaces }) => replaces));
  return reps
    .flatMap((rep): CorrectionLine[] => {
      const before = byId.get(rep.replaces ?? '');
      if (!before) return [];
      const stands = !replaced.has(rep.id);
      return [{ rep, before, words: changeWords(before, rep, nameOf), stands }];
    })
    .reverse();
}
