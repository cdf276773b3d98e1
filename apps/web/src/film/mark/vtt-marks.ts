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
import { fromCue, say } from '../../words/film.js';
import { type CalledRep } from './marks.js';
import { MARK_WORDS } from './MarkKeys.js';

/** Every cue and every mark of a film, as players show them over it. */
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
    return [
      cue,
      ...coachEventsMarked(rep, own, framesMs, alignment).map(({ name, atMs }) => ({
        atMs: inRecording(tie, atMs),
        words: `${name} ${fromCue(atMs - rep.cue.atMs)} s`,
      })),
      ...read.value.flatMap(({ name, atMs }) =>
        name === 'cue' || name === 'splitTakeoff' || name === 'nextCue'
          ? []
          : [
              {
                atMs: inRecording(tie, atMs),
                words: `${MARK_WORDS[name]} ${fromCue(atMs - rep.cue.atMs)} s`,
              },
            ],
      ),
    ];
  });
