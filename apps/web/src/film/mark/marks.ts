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

const sameMoments = <Moment extends { readonly name: string; atMs: number; sdMs: number }>(
  kept: readonly Moment[],
  marked: readonly Moment[],
): boolean =>
  kept.length === marked.length &&
  marked.every(({ name, atMs, sdMs }) =>
    kept.some((each) => each.name === name && each.atMs === atMs && each.sdMs === sdMs),
  );

/** Whether a rep is kept already as marks would have it. */
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
 * Corrections that what was marked makes; none of a rep that says it already, or cannot be. Where only
 * faults, or events of the coach's own, were seen, its times stay as they were.
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
    // An event of the coach's own that was taken back is kept as well: there it is none any more.
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
