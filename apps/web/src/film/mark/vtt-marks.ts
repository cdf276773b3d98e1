import {
  type Alignment,
  coachEventsMarked,
  markedEvents,
  type Marks,
  NOTHING_MARKED,
  tieOfRep,
  type VttMark,
  inRecording,
} from '@orthokin/core/film';
import { say } from '../../words/film.js';
import { eventWords } from './event-words.js';
import { type CalledRep } from './marks.js';

/** All cues and marks of a film as WebVTT. */
export const vttMarks = (
  reps: readonly CalledRep[],
  marks: Marks,
  framesMs: readonly number[],
  alignment: Alignment,
): VttMark[] =>
  reps.flatMap((rep) => {
    const own = marks[rep.ordinal] ?? NOTHING_MARKED;
    const tie = tieOfRep(rep, own, framesMs, alignment);
    const cue = {
      atMs: inRecording(tie, rep.cue.atMs),
      words: say('rep', { ordinal: rep.ordinal, letter: rep.target }),
    };
    const read = markedEvents(rep, own, framesMs, alignment);
    if (!read.ok) return [cue];
    const coachEvents = coachEventsMarked(rep, own, framesMs, alignment);
    return [
      cue,
      ...eventWords(read.value, coachEvents, rep.cue.atMs).map(({ atMs, words }) => ({
        ...{ atMs: inRecording(tie, atMs), words },
      })),
    ];
  });
