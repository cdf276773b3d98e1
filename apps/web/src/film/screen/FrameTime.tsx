import { markAt, onSetClock, type Alignment } from '@orthokin/core/film';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { colour, MONO } from '../../parts/tokens.js';
import { fineSeconds, fromCue, say } from '../../words/film.js';

const Time = styled.output`
  position: absolute;
  top: 12px;
  left: 12px;
  padding: 4px 12px;
  border-radius: 3px;
  background: ${colour('raised')};
  color: ${colour('ink')};
  font: 700 19px ${MONO};
  pointer-events: none;
  small {
    margin-left: 8px;
    font-size: 16px;
    font-weight: 450;
    color: ${colour('quiet')};
  }
`;

/** The current frame's time from its rep's cue, and the error an event marked there would have. */
export const FrameTime = ({
  index,
  framesMs,
  alignment,
  cueMs,
  ownSdMs,
}: {
  index: number;
  framesMs: readonly number[];
  alignment: Alignment;
  cueMs: number;
  /** The marker's own repeatability, ms; `null` for the usual one. */
  ownSdMs: number | null;
}): ReactElement => (
  <Time>
    {say('fromCue', { at: fromCue(onSetClock(alignment, framesMs[index] ?? 0) - cueMs) })}
    <small>
      {say('sure', { sure: fineSeconds(markAt(framesMs, index, alignment.rate, ownSdMs).sdMs) })}
    </small>
  </Time>
);
