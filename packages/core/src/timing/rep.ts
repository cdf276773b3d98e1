import { durationsOf, type Durations } from './durations.js';
import { eventOf, type TimedEvent } from './events.js';

/** What can be wrong with a repetition. */
export const FAULTS = [
  'false start',
  'missed',
  'wrong way',
  'short of home',
  'early split',
  'late split',
] as const;
export type Fault = (typeof FAULTS)[number];

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
}

export interface RepSettings {
  /** A first move earlier than this after the cue is a false start. */
  readonly falseStartMs: number;
  /** Neither a first move nor an arrival within this of the cue: missed. */
  readonly responseLimitMs: number;
  /** Earliest and latest good split landing about the cue. */
  readonly splitWindowMs: readonly [number, number];
}

export const DEFAULT_FALSE_START_MS = 100;
export const DEFAULT_RESPONSE_LIMIT_MS = 3000;

export type LeftOutReason = 'false start' | 'missed' | 'struck out';

/** A repetition with everything that follows from its events. */
export interface RepReading {
  readonly rep: Rep;
  readonly durations: Durations;
  readonly faults: readonly Fault[];
  /** Why the rep takes no part in averages and gates; `null` when it does. */
  readonly leftOut: LeftOutReason | null;
}

function faultsFromEvents(
  { reaction, response, splitOffset, cycle }: Durations,
  settings: RepSettings,
): Fault[] {
  const faults: Fault[] = [];
  if (reaction && reaction.ms < settings.falseStartMs) faults.push('false start');
  const responded = [reaction, response, cycle].some(
    (duration) => duration && duration.ms <= settings.responseLimitMs,
  );
  if (!responded) faults.push('missed');
  if (splitOffset && splitOffset.ms < settings.splitWindowMs[0]) faults.push('early split');
  if (splitOffset && splitOffset.ms > settings.splitWindowMs[1]) faults.push('late split');
  return faults;
}

/** Durations, faults and validity of a repetition. */
export function readRep(rep: Rep, settings: RepSettings): RepReading {
  const durations = durationsOf(rep.events);
  const faults = [...new Set([...faultsFromEvents(durations, settings), ...rep.seenFaults])];
  const leftOut = rep.struckOut
    ? 'struck out'
    : faults.includes('false start')
      ? 'false start'
      : faults.includes('missed')
        ? 'missed'
        : null;
  return { rep, durations, faults, leftOut };
}

/** The rows that stand: those that no other row of the same set replaces. */
export function standing<Row extends { readonly id: string; readonly replaces: string | null }>(
  recorded: readonly Row[],
): Row[] {
  const replaced = new Set(recorded.map(({ replaces }) => replaces));
  return recorded.filter(({ id }) => !replaced.has(id));
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
