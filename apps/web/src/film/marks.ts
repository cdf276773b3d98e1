import type { RepBody, RepReply, SetReviewReply } from '@orthokin/contract';
import {
  alignByMarks,
  inRecording,
  markAt,
  onSetClock,
  repeatabilityMs,
  type Alignment,
} from '@orthokin/core/film';
import {
  checkEvents,
  eventOf,
  type EventName,
  type Fault,
  type TimedEvent,
} from '@orthokin/core/timing';
import { ok, type Result } from '@orthokin/core/result';
import { correctionOf, effectiveRep } from '../drill/corrections.js';

/** Events that are marked on film, in the order they happen. */
export const MARKED = [
  'splitLanding',
  'firstMove',
  'arrival',
  'action',
  'departure',
  'home',
] as const satisfies readonly EventName[];
export type Marked = (typeof MARKED)[number];

/** What was marked of a rep: the first frame that shows each event. */
export interface RepMarks {
  readonly frames: Readonly<Partial<Record<Marked | 'cue', number>>>;
  /** Nobody came. */
  readonly missed: boolean;
}

/** Of a set, by the rep's ordinal. */
export type Marks = Readonly<Record<number, RepMarks>>;

export const NOTHING_MARKED: RepMarks = { frames: {}, missed: false };

export const isMarked = ({ frames, missed }: RepMarks): boolean =>
  missed || MARKED.some((name) => frames[name] !== undefined);

/** The marks with an event at a frame; marked there already, it is taken back. */
export function withMark(
  marks: Marks,
  ordinal: number,
  name: Marked | 'cue',
  frame: number,
): Marks {
  const own = marks[ordinal] ?? NOTHING_MARKED;
  const { [name]: before, ...others } = own.frames;
  const frames = before === frame ? others : { ...others, [name]: frame };
  return { ...marks, [ordinal]: { ...own, frames } };
}

/** The marks with a rep called missed, or no longer. */
export const withMissed = (marks: Marks, ordinal: number): Marks => {
  const own = marks[ordinal] ?? NOTHING_MARKED;
  return { ...marks, [ordinal]: { ...own, missed: !own.missed } };
};

const TENTHS = 10;
/** A cue that is seen is marked this surely at best, ms of the recording. */
const SEEN_CUE_MS = 15;

/** A rep of the set with its cue as the drill knew it: marked again, the tie's error must not be added twice. */
export interface CalledRep extends RepReply {
  readonly cue: TimedEvent;
}

/** The reps of a set that were called, as they stand after all corrections. */
export function calledReps({ reps, set }: Pick<SetReviewReply, 'reps' | 'set'>): CalledRep[] {
  const catches = new Set(set.cues.filter((cue) => cue.catch).map(({ ordinal }) => ordinal));
  const firsts = reps.filter(({ replaces }) => !replaces);
  return firsts
    .sort((a, b) => a.ordinal - b.ordinal)
    .flatMap((first) => {
      const cue = eventOf(first.events, 'cue');
      const rep = effectiveRep(reps, first.ordinal);
      return rep && cue && !catches.has(first.ordinal) ? [{ ...rep, cue }] : [];
    });
}

/** The events of a rep as its marks time them, checked: each with its own error, the cue with the tie's. */
export function eventsOf(
  { cue }: Pick<CalledRep, 'cue'>,
  { frames }: RepMarks,
  framesMs: readonly number[],
  alignment: Alignment,
  ownSdMs: number | null = null,
): Result<TimedEvent[]> {
  const marked = MARKED.flatMap((name): TimedEvent[] => {
    const frame = frames[name];
    if (frame === undefined) return [];
    const { recordingMs, sdMs } = markAt(framesMs, frame, alignment.rate, ownSdMs);
    const atMs = Math.round(TENTHS * onSetClock(alignment, recordingMs)) / TENTHS;
    return [{ name, atMs, sdMs: Math.round(TENTHS * sdMs) / TENTHS, source: 'film' }];
  });
  const tieMs = Math.round(TENTHS * Math.hypot(cue.sdMs, alignment.sdMs)) / TENTHS;
  const events = [{ ...cue, sdMs: tieMs }, ...marked];
  const checked = checkEvents(events, false);
  return checked.ok ? ok(events) : checked;
}

/** Whether marks say of a rep what is kept of it already. */
const saysTheSame = (rep: RepReply, events: readonly TimedEvent[], missed: boolean): boolean =>
  rep.seenFaults.includes('missed') === missed &&
  rep.events.length === events.length &&
  events.every((event) => {
    const kept = eventOf(rep.events, event.name);
    return kept?.atMs === event.atMs && kept.sdMs === event.sdMs;
  });

/** Corrections that what was marked makes; none of a rep that says it already, or cannot be. */
export const correctionsFrom = (
  reps: readonly CalledRep[],
  marks: Marks,
  framesMs: readonly number[],
  alignment: Alignment,
  by: string,
  ownSdMs: number | null = null,
): RepBody[] =>
  reps.flatMap(({ cue, ...rep }) => {
    const own = marks[rep.ordinal];
    if (!own || !isMarked(own)) return [];
    const read = eventsOf({ cue }, own, framesMs, alignment, ownSdMs);
    if (!read.ok || saysTheSame(rep, read.value, own.missed)) return [];
    const others = rep.seenFaults.filter((fault) => fault !== 'missed');
    const seenFaults: Fault[] = own.missed ? [...others, 'missed'] : others;
    return [correctionOf(rep, { events: read.value, seenFaults }, by)];
  });

/** Fewer events marked twice say nothing of whoever marked them. */
export const FEWEST_TWICE = 6;

/** How many events were marked twice, and how much the marks differ. */
export interface Twice {
  readonly events: number;
  /** The marker's own repeatability, ms of capture; `null` with too few events. */
  readonly sdMs: number | null;
}

/** The same events marked again, blind, held against the first time. */
export function markedTwice(
  marks: Marks,
  again: Marks,
  framesMs: readonly number[],
  rate: number,
): Twice {
  const pairs = Object.entries(again).flatMap(([ordinal, { frames }]) =>
    MARKED.flatMap((name) => {
      const [first, second] = [marks[Number(ordinal)]?.frames[name], frames[name]];
      return first === undefined || second === undefined
        ? []
        : [[(framesMs[first] ?? 0) / rate, (framesMs[second] ?? 0) / rate] as const];
    }),
  );
  return {
    events: pairs.length,
    sdMs:
      pairs.length < FEWEST_TWICE
        ? null
        : repeatabilityMs(
            pairs.map(([first]) => first),
            pairs.map(([, second]) => second),
          ),
  };
}

/** The alignment that two marked cues fix, where the sound did not; `null` with fewer. */
export function tiedByHand(
  reps: readonly CalledRep[],
  marks: Marks,
  framesMs: readonly number[],
): Alignment | null {
  const seen = reps.flatMap(({ ordinal, cue }) => {
    const frame = marks[ordinal]?.frames.cue;
    return frame === undefined
      ? []
      : [{ setMs: cue.atMs, recordingMs: markAt(framesMs, frame, 1).recordingMs }];
  });
  const [first, last] = [seen[0], seen.at(-1)];
  if (!first || !last || first === last) return null;
  const tied = alignByMarks([first, last], SEEN_CUE_MS);
  return tied.ok ? tied.value : null;
}

/** Where a rep's cue is in the recording, ms. */
export const cueInRecording = ({ cue }: Pick<CalledRep, 'cue'>, alignment: Alignment): number =>
  inRecording(alignment, cue.atMs);

/** Another rep to the same target that was home sooner after its cue, by its marks; the soonest of them. */
export function betterRep(
  reps: readonly CalledRep[],
  marks: Marks,
  framesMs: readonly number[],
  alignment: Alignment,
  rep: CalledRep,
): CalledRep | null {
  const cycleMs = (of: CalledRep): number => {
    const home = marks[of.ordinal]?.frames.home;
    return home === undefined
      ? Infinity
      : (framesMs[home] ?? Infinity) / alignment.rate -
          cueInRecording(of, alignment) / alignment.rate;
  };
  const [best] = reps
    .filter(({ target, ordinal }) => target === rep.target && ordinal !== rep.ordinal)
    .sort((a, b) => cycleMs(a) - cycleMs(b));
  return best && cycleMs(best) < cycleMs(rep) ? best : null;
}
