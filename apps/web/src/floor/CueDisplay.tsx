import { targetOf } from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Marker } from '../parts/plan/Marker.js';
import { colour, MIDDLE } from '../parts/tokens.js';
import type { Run } from '../drill/run.js';

const Box = styled.div`
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  justify-items: center;
  gap: 14px;
  height: 100%;
  min-height: 0;
  svg {
    height: 100%;
    width: auto;
    max-width: 100%;
    aspect-ratio: 1;
  }
  strong {
    font-size: clamp(28px, 5vw, 52px);
    line-height: 1.1;
  }
  .ready {
    align-self: center;
    font-size: clamp(34px, 7vw, 76px);
    font-weight: 300;
    color: ${colour('quiet')};
  }
  @media (max-width: ${MIDDLE}) {
    gap: 8px;
  }
`;

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** The cue, as large as there is room: seen from across a floor. */
export function CueDisplay({ run, shown }: { run: Run; shown: boolean }): ReactElement {
  const letter = run.plan.cues[run.ordinal - 1]?.target ?? '';
  const target = targetOf(run.plan.pattern, letter);
  return (
    <Box data-testid="cue" data-cue={shown ? letter : ''} aria-live="assertive">
      {shown && target ? (
        <>
          <Marker target={target} size="100%" />
          <strong>{capital(target.name)}</strong>
        </>
      ) : (
        <span className="ready">Ready</span>
      )}
    </Box>
  );
}
