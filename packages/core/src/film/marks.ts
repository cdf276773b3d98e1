import { counterpartOf, type Pattern, type PositionName } from '../pattern/index.js';
import { ok, type Result } from '../result/index.js';
import {
  checkEvents,
  type CoachEvent,
  type EventName,
  type Fault,
  type TimedEvent,
} from '../timing/index.js';
import { alignByMarks, inRecording, onSetClock, type Alignment, type SlowFactor } from './align.js';
import { markAt, repeatabilityMs } from './mark.js';

/** Events that can be marked on film, in their order. */
export const MARKED = [
  'splitLanding',
  'firstMove',
  'arrival',
  'action',
  'departure',
  'home',
] as const satisfies readonly EventName[];
/** One of them. */
export type Marked = (typeof MARKED)[number];

/** A rep's marks: the first frame that shows each event. */
export interface RepMarks {
  readonly frames: Readonly<Partial<Record<Marked | 'cue', number>>>;
  /** The same for the coach's own events, by name. */
  readonly coachFrames?: Readonly<Record<string, number>>;
  /** The target was not reached. */
  readonly missed: boolean;
  /** Faults seen on film; `undefined` if nobody looked, so that those from the floor stand. */
  readonly faults?: readonly Fault[];
  /** Check points assessed on film, by position: whether each holds. */
  readonly checks?: Readonly<Partial<Record<PositionName, Readonly<Record<string, boolean>>>>>;
}

/** A set's marks, by the rep's ordinal. */
export type Marks = Readonly<Record<number, RepMarks>>;

/** An unmarked rep. */
export const NOTHING_MARKED: RepMarks = { frames: {}, missed: false };

/** Whether a rep's marks replace its times: standard events, or a miss. */
export const isTimedByMarks = ({ frames, missed }: RepMarks): boolean =>
  missed || MARKED.some((name) => frames[name] !== undefined);

/** Whether anything besides the cue is marked. */
export const isMarked = (own: RepMarks): boolean =>
  isTimedByMarks(own) || Object.keys(own.coachFrames ?? {}).length > 0;

/** Adds an event at a frame, or removes it if it is marked there already. */
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

/** The same for an event of the coach's own. */
export function withCoachMark(marks: Marks, ordinal: number, name: string, frame: number): Marks {
  const own = marks[ordinal] ?? NOTHING_MARKED;
  const { [name]: before, ...others } = own.coachFrames ?? {};
  const coachFrames = before === frame ? others : { ...others, [name]: frame };
  return { ...marks, [ordinal]: { ...own, coachFrames } };
}

/** Toggles whether a rep was missed. */
export const withMissed = (marks: Marks, ordinal: number): Marks => {
  const own = marks[ordinal] ?? NOTHING_MARKED;
  return { ...marks, [ordinal]: { ...own, missed: !own.missed } };
};

/**
 * Toggles a fault of a rep.
 * @param standing the faults it had before anybody looked
 */
export function withFault(
  marks: Marks,
  ordinal: number,
  fault: Fault,
  standing: readonly Fault[],
): Marks {
  const own = marks[ordinal] ?? NOTHING_MARKED;
  const now = own.faults ?? standing;
  const faults = now.includes(fault) ? now.filter((each) => each !== fault) : [...now, fault];
  return { ...marks, [ordinal]: { ...own, faults } };
}

/** Whether a check point holds in a rep; `null` if nobody looked. */
export const checkSeen = (
  { checks }: Pick<RepMarks, 'checks'>,
  position: PositionName,
  point: string,
): boolean | null => checks?.[position]?.[point] ?? null;

/** Cycles a check point: not assessed, holds, does not hold. */
export function withCheck(
  marks: Marks,
  ordinal: number,
  position: PositionName,
  point: string,
): Marks {
  const own = marks[ordinal] ?? NOTHING_MARKED;
  const now = checkSeen(own, position, point);
  const { [point]: _, ...others } = own.checks?.[position] ?? {};
  const next = now === false ? others : { ...others, [point]: now === null };
  return { ...marks, [ordinal]: { ...own, checks: { ...own.checks, [position]: next } } };
}

/** How many of the assessed check points hold; `null` if there are none. */
export function checksHeld({
  checks = {},
}: Pick<RepMarks, 'checks'>): { readonly held: number; readonly of: number } | null {
  const seen = Object.values(checks).flatMap((points) => Object.values(points));
  return seen.length === 0 ? null : { held: seen.filter((holds) => holds).length, of: seen.length };
}

/** The frame of a rep's next or previous event; `null` if there is none. */
export function eventFrame(
  { frames, coachFrames = {} }: RepMarks,
  cueFrame: number,
  from: number,
  way: 1 | -1,
): number | null {
  const { cue = cueFrame, ...marked } = frames;
  const stops = [cue, ...Object.values(marked), ...Object.values(coachFrames)].sort(
    (a, b) => way * (a - b),
  );
  return stops.find((frame) => way * (frame - from) > 0) ?? null;
}

const TENTHS = 10;
/** The least error of a cue marked by eye, ms of the recording. */
const SEEN_CUE_MS = 15;

/** A rep on film: its target, and its cue as the drill recorded it. */
export interface FilmRep {
  readonly ordinal: number;
  /** The target's letter. */
  readonly target: string;
  readonly cue: TimedEvent;
}

/**
 * How one rep is tied to the film. Where its cue was marked in the picture (a light, a call seen, a
 * partner's contact, or a tone that was heard wrongly) the rep begins there, with that mark's error;
 * elsewhere the line through all cues holds.
 *
 * @param ownSdMs the marker's own repeatability, ms; usual for the gap where it is not known
 */
export function tieOfRep(
  { cue }: Pick<FilmRep, 'cue'>,
  { frames }: RepMarks,
  framesMs: readonly number[],
  alignment: Alignment,
  ownSdMs: number | null = null,
): Alignment {
  if (frames.cue === undefined) return alignment;
  const { recordingMs, sdMs } = markAt(framesMs, frames.cue, alignment.rate, ownSdMs);
  return { ...alignment, offsetMs: recordingMs - alignment.rate * cue.atMs, sdMs };
}

/** How a rep's cue is known: found in the sound, calculated from those found, or marked. */
export type CueKnown = 'heard' | 'reckoned' | 'marked';

/**
 * How the cue of a rep is known.
 *
 * @param place of the rep's cue in the plan the film was tied by
 */
export const cueKnown = (
  place: number,
  { frames }: RepMarks,
  { heard }: Pick<Alignment, 'heard'>,
): CueKnown => {
  if (frames.cue !== undefined) return 'marked';
  return heard.has(place) ? 'heard' : 'reckoned';
};

const tenths = (ms: number): number => Math.round(TENTHS * ms) / TENTHS;

/** A frame's time on the set's clock, with its error, ms, rounded to tenths. */
function momentOf(
  frame: number,
  framesMs: readonly number[],
  alignment: Alignment,
  ownSdMs: number | null,
): Pick<TimedEvent, 'atMs' | 'sdMs' | 'source'> {
  const { recordingMs, sdMs } = markAt(framesMs, frame, alignment.rate, ownSdMs);
  return { atMs: tenths(onSetClock(alignment, recordingMs)), sdMs: tenths(sdMs), source: 'film' };
}

/**
 * The events of the coach's own of a rep as its marks time them, in the order they come. Beside events
 * that something else timed, the film's tie to the set is part of their error; beside marked ones the
 * cue carries it.
 */
export function coachEventsMarked(
  { cue }: Pick<FilmRep, 'cue'>,
  own: RepMarks,
  framesMs: readonly number[],
  film: Alignment,
  ownSdMs: number | null = null,
): CoachEvent[] {
  const alignment = tieOfRep({ cue }, own, framesMs, film, ownSdMs);
  const tieMs = isTimedByMarks(own) ? 0 : alignment.sdMs;
  return Object.entries(own.coachFrames ?? {})
    .map(([name, frame]) => {
      const moment = momentOf(frame, framesMs, alignment, ownSdMs);
      return { name, ...moment, sdMs: tenths(Math.hypot(moment.sdMs, tieMs)) };
    })
    .sort((a, b) => a.atMs - b.atMs);
}

/** A rep's events as marked, validated: each with its own error, the cue with the tie's. */
export function markedEvents(
  { cue }: Pick<FilmRep, 'cue'>,
  own: RepMarks,
  framesMs: readonly number[],
  film: Alignment,
  ownSdMs: number | null = null,
): Result<TimedEvent[]> {
  const { frames } = own;
  const alignment = tieOfRep({ cue }, own, framesMs, film, ownSdMs);
  const marked = MARKED.flatMap((name): TimedEvent[] => {
    const frame = frames[name];
    return frame === undefined ? [] : [{ name, ...momentOf(frame, framesMs, alignment, ownSdMs) }];
  });
  // A marked cue happened when it is seen, whatever the drill recorded.
  const ofCueMs = frames.cue === undefined ? cue.sdMs : 0;
  const tieMs = tenths(Math.hypot(ofCueMs, alignment.sdMs));
  const events = [{ ...cue, sdMs: tieMs }, ...marked];
  const checked = checkEvents(events, false);
  return checked.ok ? ok(events) : checked;
}

/** With fewer events marked twice the repeatability is unknown. */
export const FEWEST_TWICE = 6;

/** Events marked twice, and how much the marks differ. */
export interface Twice {
  readonly events: number;
  /** The marker's repeatability, ms of capture; `null` with too few events. */
  readonly sdMs: number | null;
}

/** Compares events marked again, blind, with their first marks. */
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

/**
 * The alignment that two marked cues fix, where the sound did not; one is enough where somebody said how
 * many times the film is slowed. `null` with fewer.
 */
export function tiedByHand(
  reps: readonly FilmRep[],
  marks: Marks,
  framesMs: readonly number[],
  factor: SlowFactor | null = null,
): Alignment | null {
  const seen = reps.flatMap(({ ordinal, cue }) => {
    const frame = marks[ordinal]?.frames.cue;
    return frame === undefined
      ? []
      : [{ setMs: cue.atMs, recordingMs: markAt(framesMs, frame, 1).recordingMs }];
  });
  const [first, last] = [seen[0], seen.at(-1)];
  if (!first || !last) return null;
  if (first === last) {
    if (factor === null) return null;
    const offsetMs = first.recordingMs - factor * first.setMs;
    return { offsetMs, rate: factor, sdMs: SEEN_CUE_MS / factor, heard: new Map(), strays: [] };
  }
  const tied = alignByMarks([first, last], SEEN_CUE_MS);
  return tied.ok ? tied.value : null;
}

/** Time of a rep's cue in the recording, ms. */
export const cueInRecording = ({ cue }: Pick<FilmRep, 'cue'>, alignment: Alignment): number =>
  inRecording(alignment, cue.atMs);

/** The rep to the mirrored target with the most marked positions. */
export function mirrorRep<Rep extends FilmRep>(
  reps: readonly Rep[],
  marks: Marks,
  pattern: Pick<Pattern, 'targets'>,
  rep: Rep,
): Rep | null {
  const across = counterpartOf(pattern, rep.target)?.letter;
  const count = ({ ordinal }: FilmRep) => Object.keys(marks[ordinal]?.frames ?? {}).length;
  const [most] = reps
    .filter((each) => each.target === across && count(each) > 0)
    .sort((a, b) => count(b) - count(a));
  return most ?? null;
}

/** The rep to the same target that was home soonest, if sooner than this one. */
export function betterRep<Rep extends FilmRep>(
  reps: readonly Rep[],
  marks: Marks,
  framesMs: readonly number[],
  alignment: Alignment,
  rep: Rep,
): Rep | null {
  const cycleMs = ({ ordinal, cue }: FilmRep): number => {
    const own = marks[ordinal] ?? NOTHING_MARKED;
    const { home } = own.frames;
    if (home === undefined) return Infinity;
    const tie = tieOfRep({ cue }, own, framesMs, alignment);
    return onSetClock(tie, framesMs[home] ?? Infinity) - cue.atMs;
  };
  const [best] = reps
    .filter(({ target, ordinal }) => target === rep.target && ordinal !== rep.ordinal)
    .sort((a, b) => cycleMs(a) - cycleMs(b));
  return best && cycleMs(best) < cycleMs(rep) ? best : null;
}
