import type { RepBody, RepReply, SetReviewReply } from '@orthokin/contract';
import {
  isMarked,
  markedEvents,
  type Alignment,
  type FilmRep,
  type Marks,
} from '@orthokin/core/film';
import { eventOf, type Fault, type TimedEvent } from '@orthokin/core/timing';
import { correctionOf, effectiveRep } from '../drill/corrections.js';

/** A rep of the set as it stands, with its cue as the drill knew it: the tie's error must not be added twice. */
export type CalledRep = RepReply & FilmRep;

/**
 * The reps of a set that were called, as they stand after all corrections. A rep that was run again
 * was cued again: its cue is that of the last run, before anybody corrected it.
 */
export function calledReps({ reps, set }: Pick<SetReviewReply, 'reps' | 'set'>): CalledRep[] {
  const catches = new Set(set.cues.filter((cue) => cue.catch).map(({ ordinal }) => ordinal));
  const run = reps.filter(({ corrected }) => !corrected);
  const ordinals = [...new Set(run.map(({ ordinal }) => ordinal))].sort((a, b) => a - b);
  return ordinals.flatMap((ordinal) => {
    const cue = eventOf(effectiveRep(run, ordinal)?.events ?? [], 'cue');
    const rep = effectiveRep(reps, ordinal);
    return rep && cue && !catches.has(ordinal) ? [{ ...rep, cue }] : [];
  });
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
    const read = markedEvents({ cue }, own, framesMs, alignment, ownSdMs);
    if (!read.ok || saysTheSame(rep, read.value, own.missed)) return [];
    const others = rep.seenFaults.filter((fault) => fault !== 'missed');
    const seenFaults: Fault[] = own.missed ? [...others, 'missed'] : others;
    return [correctionOf(rep, { events: read.value, seenFaults }, by)];
  });
