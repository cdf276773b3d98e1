import type { Target } from '@orthokin/core/floor';
import type { SayThis as Found } from '@orthokin/core/progress';
import type { FaultWords } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { keepWords, mendCue, mendWhy, say } from '../words/say-this.js';
import { colour } from './tokens.js';

const Box = styled.section`
  margin: 0;
  padding: 2px 0 2px 16px;
  border-left: 5px solid ${colour('here')};
  text-align: left;
  h2 {
    margin: 0;
    font-size: 16px;
    font-weight: 600;
    color: ${colour('quiet')};
  }
  blockquote {
    margin: 0;
    font-size: clamp(26px, 4vw, 36px);
    font-weight: 750;
    line-height: 1.15;
  }
  p {
    margin: 4px 0 0;
    max-width: 62ch;
  }
`;

/** After a set: one sentence to say, one thing to keep doing, and why; nothing if the set shows nothing. */
export function SayThis({
  found: { mend, keep },
  targets,
  faults,
}: {
  found: Found;
  targets: readonly Target[];
  /** The club's names of faults. */
  faults: readonly FaultWords[];
}): ReactElement | null {
  if (!mend && !keep) return null;
  return (
    <Box aria-label={say('sayThis')}>
      {mend && (
        <>
          <h2>{say('sayThis')}</h2>
          <blockquote>“{mendCue(mend, targets, faults)}”</blockquote>
          <p>{mendWhy(mend, targets, faults)}</p>
        </>
      )}
      {keep && (
        <p>
          <strong>{say('keep')}:</strong> {keepWords(keep, faults)}
        </p>
      )}
    </Box>
  );
}
