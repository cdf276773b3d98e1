import { marksVtt, type Alignment, type Marks } from '@orthokin/core/film';
import { Captions } from 'lucide-react';
import type { ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { download, fileName } from '../../parts/download.js';
import { say } from '../../words/film.js';
import { Row } from '../Row.js';
import type { CalledRep } from './marks.js';
import { vttMarks } from './vtt-marks.js';

/** Saves the marks as WebVTT, which players show over the film. */
export const VttPart = ({
  name,
  reps,
  marks,
  framesMs,
  alignment,
}: {
  /** Whose film it is. */
  name: string;
  reps: readonly CalledRep[];
  marks: Marks;
  framesMs: readonly number[];
  alignment: Alignment;
}): ReactElement => (
  <Row>
    <Button
      onPress={() =>
        download(
          fileName(say('marksOf', { athlete: name }), 'vtt'),
          marksVtt(vttMarks(reps, marks, framesMs, alignment)),
          'text/vtt',
        )
      }
    >
      <Captions size={18} aria-hidden /> {say('marksAsVtt')}
    </Button>
  </Row>
);
