import { trialOf, type Cue, type Trial } from '../cue/index.js';
import { durationsOf, type Durations } from './durations.js';
import { eventOf, type TimedEvent } from './events.js';
import type { Fault } from './faults.js';
import type { CoachEvent } from './coach-events.js';

/** One repetition as it was recorded. */
export interface Rep {
  /** Which cue of the set it answers, from 1. */
  readonly ordinal: number;
  /** The target's letter. */
  readonly target: string;
  readonly events: readonly TimedEvent[];
  /** Faults somebody saw; those that follow from the events are found by `readRep`. */
  readonly seenFaults: readonly Fault[];
  readonly struckOut: boolean;
  /** What the coach marked; absent or null when there was nothing to mark. */
  readonly marks?: RepMarks | null;
}

/** Marks a coach makes in a rep, apart from faults. */
export interface RepMarks {
  /** Whether what appeared at arrival was answered rightly. */
  readonly lateRight?: boolean;
  /** Check points of the frozen position: those that held, of how many. */
  readonly checked?: { readonly held: number; readonly of: number };
  /** Events of the coach's own, under names of their own. */
  readonly coachEvents?: readonly CoachEvent[];
}

/** What a rep is read by, ms. */
export interface RepSettings {
  /** A first move earlier than this after the cue is a false start. */
  readonly falseStartMs: number;
  /** Neither a first move nor an arrival within this of the cue: missed. */
  readonly responseLimitMs: number;
  /** Earliest and latest good split landing about the cue. */
  readonly splitWindowMs: readonly [number, number];
  /** A rep that turned round short of home does not count. */
  readonly allTheWayHome?: boolean;
  /** False for a set that nobody timed: that nothing was seen then means nothing. */
  readonly isTimed?: boolean;
  /** Timed on film, rep by rep: one without a mark was not looked at yet, and so not missed. */
  readonly isFromFilm?: boolean;
  /** A sensor watched home: who was not seen there turned round outside it. */
  readonly isHomeWatched?: boolean;
}

/** A first move sooner after the cue is no reaction, ms. */
export const USUAL_FALSE_START_MS = 100;
/** A rep without an arrival by then is missed, ms. */
export const USUAL_RESPONSE_LIMIT_MS = 3000;

/** Why a rep takes no part in the times. */
export type LeftOutReason =
  'false start' | 'missed' | 'struck out' | 'short of home' | 'unmarked' | Exclude<Trial, 'plain'>;

/** A repetition with everything that follows from its events. */
export interface RepReading {
  readonly rep: Rep;
  readonly trial: Trial;
  readonly durations: Durations;
  readonly faults: readonly Fault[];
  /** Why the rep takes no part in averages and gates; `null` when it does. */
  readonly leftOut: LeftOutReason | null;
}

/** Whether a rep has none of some faults. */
export const hasNoneOf = ({ faults }: Pick<RepReading, 'faults'>, of: readonly Fault[]): boolean =>
  !faults.some((fault) => of.includes(fault));

/** The plain reps of a set that were looked at and not struck out: what was asked and answered, well or not. */
export const cuedReps = (readings: readonly RepReading[]): RepReading[] =>
  readings.filter(
    ({ trial, leftOut }) => trial === 'plain' && leftOut !== 'struck out' && leftOut !== 'unmarked',
  );

/** Catch trials, and those of them in which nobody moved. */
export function catchTrials(readings: readonly RepReading[]): {
  readonly trials: number;
  readonly held: number;
} {
  const trials = readings.filter(({ trial, rep }) => trial === 'catch' && !rep.struckOut);
  return {
    trials: trials.length,
    held: trials.filter((each) => hasNoneOf(each, ['moved on a catch trial'])).length,
  };
}

function faultsFromEvents(
  events: readonly TimedEvent[],
  { reaction, response, splitOffset, cycle }: Durations,
  settings: RepSettings,
): Fault[] {
  const faults: Fault[] = [];
  if (reaction && reaction.ms < settings.falseStartMs) faults.push('false start');
  const responded = [reaction, response, cycle].some(
    (duration) => duration && duration.ms <= settings.responseLimitMs,
  );
  if (!responded && settings.isTimed !== false && !isUnmarked(events, settings))
    faults.push('missed');
  if (splitOffset && splitOffset.ms < settings.splitWindowMs[0]) faults.push('early split');
  if (splitOffset && splitOffset.ms > settings.splitWindowMs[1]) faults.push('late split');
  if (settings.isHomeWatched && response && !eventOf(events, 'home')) faults.push('short of home');
  return faults;
}

/** A rep of a film in which nothing was marked yet. */
const isUnmarked = (events: readonly TimedEvent[], { isFromFilm = false }: RepSettings): boolean =>
  isFromFilm && events.every(({ name }) => name === 'cue');

/** An athlete who moved although nothing was called. */
const moved = (events: readonly TimedEvent[]): boolean =>
  eventOf(events, 'firstMove') !== undefined || eventOf(events, 'arrival') !== undefined;

function faultsOf(rep: Rep, durations: Durations, trial: Trial, settings: RepSettings): Fault[] {
  const found: Fault[] =
    trial === 'catch'
      ? moved(rep.events)
        ? ['moved on a catch trial']
        : []
      : faultsFromEvents(rep.events, durations, settings);
  return [...new Set([...found, ...rep.seenFaults])];
}

/**
 * Durations, faults and validity of a repetition. Catch, switch and freeze trials test something
 * else than speed: they are read, and left out of averages and limits.
 */
export function readRep(rep: Rep, settings: RepSettings, trial: Trial = 'plain'): RepReading {
  const durations = durationsOf(rep.events);
  const faults = faultsOf(rep, durations, trial, settings);
  return { rep, trial, durations, faults, leftOut: leftOutReason(rep, faults, trial, settings) };
}

function leftOutReason(
  rep: Rep,
  faults: readonly Fault[],
  trial: Trial,
  settings: RepSettings,
): LeftOutReason | null {
  if (rep.struckOut) return 'struck out';
  if (trial !== 'plain') return trial;
  for (const fault of ['false start', 'missed'] as const) if (faults.includes(fault)) return fault;
  if (isUnmarked(rep.events, settings)) return 'unmarked';
  return settings.allTheWayHome && faults.includes('short of home') ? 'short of home' : null;
}

/** A row of a set: a rep, or a correction that names the one it replaces. */
export type RecordedRep = Rep & { readonly id: string; readonly replaces: string | null };

/**
 * The reps of a set that stand, in order, each read as the cue it answers asks. `cues` is empty
 * for a set that was called live: its reps are plain ones.
 */
export function readReps(
  recorded: readonly RecordedRep[],
  cues: readonly Cue[],
  settings: RepSettings,
): RepReading[] {
  const trials = new Map(cues.map((cue) => [cue.ordinal, trialOf(cue)]));
  const reps = withNextCues(effectiveReps(recorded), recorded);
  const watchedTo = homeWatchedTo(reps);
  return reps.map((rep) => {
    const trial = trials.get(rep.ordinal);
    // Who was called to a stop has been let off the way home.
    const isHomeWatched = rep.ordinal <= watchedTo && trial !== 'freeze';
    return readRep(rep, { ...settings, isHomeWatched }, trial);
  });
}

/**
 * Up to which rep a sensor is known to have watched home: one that died since cannot tell a short
 * way back from its own end.
 */
const homeWatchedTo = (reps: readonly Rep[]): number =>
  Math.max(
    0,
    ...reps
      .filter(({ events }) => eventOf(events, 'home')?.source === 'sensor')
      .map(({ ordinal }) => ordinal),
  );

/**
 * The rows that stand, one a repetition: those that no other row of the same set replaces. Where two
 * devices corrected the same row at once, neither knew of the other: the later one stands, by its id
 * (UUID version 7, in the order of time), or the repetition would count twice.
 */
export function effectiveReps<
  Row extends { readonly id: string; readonly replaces: string | null },
>(recorded: readonly Row[]): Row[] {
  const replaced = new Set(recorded.map(({ replaces }) => replaces));
  const leaves = recorded.filter(({ id }) => !replaced.has(id));
  if (leaves.every(({ replaces }) => replaces === null)) return leaves;
  const rows = new Map(recorded.map((row) => [row.id, row]));
  const before = ({ replaces }: Row) => (replaces === null ? undefined : rows.get(replaces));
  const firstOf = (leaf: Row): string => {
    const passed = new Set<string>();
    let first = leaf;
    // Rows of a file may name each other in a circle.
    for (let row: Row | undefined = leaf; row && !passed.has(row.id); row = before(row)) {
      passed.add(row.id);
      first = row;
    }
    return first.id;
  };
  const latest = new Map<string, Row>();
  for (const leaf of leaves) {
    const first = firstOf(leaf);
    const other = latest.get(first);
    if (!other || leaf.id > other.id) latest.set(first, leaf);
  }
  const stands = new Set(latest.values());
  return leaves.filter((leaf) => stands.has(leaf));
}

/**
 * The reps in order, each with the cue that followed it as its `nextCue`. `recorded` holds every
 * rep of the set, also those since redone: their cues were seen too.
 */
export function withNextCues(reps: readonly Rep[], recorded: readonly Rep[] = reps): Rep[] {
  const cues = recorded
    .flatMap(({ events }) => eventOf(events, 'cue') ?? [])
    .sort((a, b) => a.atMs - b.atMs);
  return [...reps]
    .sort((a, b) => a.ordinal - b.ordinal)
    .map((rep) => {
      const own = eventOf(rep.events, 'cue');
      const ready = eventOf(rep.events, 'home') ?? own;
      const next = cues.find((cue) => ready && cue.atMs >= ready.atMs && cue.atMs !== own?.atMs);
      if (!next) return rep;
      const events = rep.events.filter(({ name }) => name !== 'nextCue');
      return { ...rep, events: [...events, { ...next, name: 'nextCue' }] };
    });
}
