import type { RepBody, RepReply, SetReviewReply } from '@orthokin/contract';
import {
  checksHeld,
  coachEventsMarked,
  isTimedByMarks,
  markedEvents,
  type Alignment,
  type FilmRep,
  type Marks,
} from '@orthokin/core/film';
import { ok } from '@orthokin/core/result';
import {
  eventOf,
  type CoachEvent,
  type Fault,
  type RepMarks,
  type TimedEvent,
} from '@orthokin/core/timing';
import { correctionOf, effectiveRep } from '../../drill/corrections.js';

/**
 * A rep with its cue as the drill recorded it. A corrected cue must not be used: it already contains the tie's error.
 */
export type CalledRep = RepReply & FilmRep;

/**
 * The set's called reps, with all corrections. The cue of a rep that was run again is that of its last run, before
 * any correction.
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

const sameMoments = <Moment extends { readonly name: string; atMs: number; sdMs: number }>(
  kept: readonly Moment[],
  marked: readonly Moment[],
): boolean =>
  kept.length === marked.length &&
  marked.every(({ name, atMs, sdMs }) =>
    kept.some((each) => each.name === name && each.atMs === atMs && each.sdMs === sdMs),
  );

/** Whether a rep already is as the marks say. */
const saysTheSame = (
  rep: RepReply,
  events: readonly TimedEvent[],
  faults: readonly Fault[],
  checked: ReturnType<typeof checksHeld>,
  coachEvents: readonly CoachEvent[],
): boolean =>
  (checked === null ||
    (rep.marks?.checked?.held === checked.held && rep.marks.checked.of === checked.of)) &&
  rep.seenFaults.length === faults.length &&
  faults.every((fault) => rep.seenFaults.includes(fault)) &&
  sameMoments(rep.events, events) &&
  sameMoments(rep.marks?.coachEvents ?? [], coachEvents);

/**
 * The corrections that follow from the marks, without reps that are already so or cannot be corrected. If only faults
 * or the coach's own events were marked, a rep keeps its times.
 */
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
    const checked = own ? checksHeld(own) : null;
    const isTimed = own !== undefined && isTimedByMarks(own);
    // A withdrawn event of the coach's own is a correction too.
    if (!own || !(isTimed || own.coachFrames || own.faults || checked)) return [];
    const read = isTimed
      ? markedEvents({ cue }, own, framesMs, alignment, ownSdMs)
      : ok([...rep.events]);
    if (!read.ok) return [];
    const others = (own.faults ?? rep.seenFaults).filter((fault) => fault !== 'missed');
    const isMissed = isTimed ? own.missed : rep.seenFaults.includes('missed');
    const seenFaults: Fault[] = isMissed ? [...others, 'missed'] : others;
    const coachEvents = own.coachFrames
      ? coachEventsMarked({ cue }, own, framesMs, alignment, ownSdMs)
      : (rep.marks?.coachEvents ?? []);
    if (saysTheSame(rep, read.value, seenFaults, checked, coachEvents)) return [];
    const noted: RepMarks = {
      ...rep.marks,
      ...(checked && { checked }),
      ...(coachEvents.length > 0 || own.coachFrames ? { coachEvents } : {}),
    };
    const marksOfRep = Object.keys(noted).length > 0 ? { marks: noted } : {};
    return [correctionOf(rep, { events: read.value, seenFaults, ...marksOfRep }, by)];
  });
