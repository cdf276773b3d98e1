import {
  type Alignment,
  markedEvents,
  type Marks,
  NOTHING_MARKED,
  type VttMark,
} from '@orthokin/core/film';
import { inRecording } from '@orthokin/core/film';
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
    const cue = {
      atMs: inRecording(alignment, rep.cue.atMs),
      words: say('rep', { ordinal: rep.ordinal, letter: rep.target }),
    };
    const read = markedEvents(rep, marks[rep.ordinal] ?? NOTHING_MARKED, framesMs, alignment);
    if (!read.ok) return [cue];
    return [
      cue,
      ...read.value.flatMap(({ name, atMs }) =>
        name === 'cue' || name === 'splitTakeoff' || name === 'nextCue'
          ? []
          : [
              {
                atMs: inRecording(alignment, atMs),
                words: `${MARK_WORDS[name]} ${fromCue(atMs - rep.cue.atMs)} s`,
              },
            ],
      ),
    ];
  });
