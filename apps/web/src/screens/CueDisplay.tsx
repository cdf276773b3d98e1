import { screenKindOf, type ScreenKind } from '@orthokin/core/drill';
import { heading, HOME, type Target } from '@orthokin/core/floor';
import { targetOf } from '@orthokin/core/pattern';
import { ArrowUp } from 'lucide-react';
import type { ReactElement, ReactNode } from 'react';
import styled from 'styled-components';
import { capital } from '../words/format.js';
import { Marker } from '../parts/plan/Marker.js';
import { colour, LOW, MARKER_FILLS, MIDDLE, MONO } from '../parts/tokens.js';
import { numberOf } from '../drill/cue-words.js';
import type { CuePlan } from '../drill/cue-plan.js';
import type { Shown } from './present.js';
import { say } from '../words/screens.js';

const Box = styled.div`
  position: relative;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  justify-items: center;
  gap: 14px;
  height: 100%;
  min-height: 0;
  container-type: size;
  > svg {
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
    text-align: center;
    font-size: clamp(34px, 7vw, 76px);
    font-weight: 300;
    color: ${colour('quiet')};
  }
  .ready small {
    display: block;
    margin-top: 10px;
    font-size: clamp(20px, 3vw, 32px);
    font-weight: 600;
    color: ${colour('ink')};
  }
  .glyph {
    align-self: center;
    text-align: center;
    font: 750 min(78cqh, 60cqw) / 1 ${MONO};
  }
  .words {
    align-self: center;
    text-align: center;
    font-size: min(40cqh, 17cqw);
    font-weight: 750;
    line-height: 1.05;
  }
  /* The letter is there for whoever does not tell this colour from another. */
  .fill {
    position: absolute;
    inset: 0;
    display: grid;
    place-items: center;
    border: 3px solid ${colour('ink')};
    border-radius: 8px;
    font: 750 min(56cqh, 44cqw) / 1 ${MONO};
  }
  .late {
    position: absolute;
    inset: 0;
    display: grid;
    place-items: center;
    background: ${colour('paper')};
    border: 3px solid ${colour('ink')};
    border-radius: 8px;
    font-size: min(30cqh, 14cqw);
    font-weight: 750;
  }
  @media (max-width: ${MIDDLE}) {
    gap: 8px;
  }
  @media ${LOW} {
    gap: 2px;
    grid-template-rows: minmax(50vmin, 1fr) auto;
    strong {
      font-size: 22px;
    }
  }
`;

/** A target as a kind of cue shows it. */
function glyphOf(kind: ScreenKind | null, plan: CuePlan, target: Target): ReactNode {
  switch (kind) {
    case 'marker':
      return (
        <>
          <Marker target={target} size="100%" />
          <strong>{capital(target.name)}</strong>
        </>
      );
    case 'colour': {
      const [fill, ink] = MARKER_FILLS[target.colour];
      return (
        <span className="fill" style={{ background: fill, color: ink }}>
          {target.letter}
        </span>
      );
    }
    case 'arrow':
      return (
        <ArrowUp
          strokeWidth={2.2}
          aria-label={say('towardsTarget', { target: target.name })}
          style={{ transform: `rotate(${heading(HOME, target.at)}deg)` }}
        />
      );
    case 'number':
      return <span className="glyph">{numberOf(plan, target.letter)}</span>;
    case 'word':
      return <span className="words">{capital(target.name)}</span>;
    case null:
      return <span className="ready">{say('listen')}</span>;
  }
}

function Late({ late }: { late: NonNullable<Shown['late']> }): ReactElement {
  const fill = late.kind === 'colour' ? MARKER_FILLS[late.show as keyof typeof MARKER_FILLS] : null;
  return (
    <div
      className="late"
      data-late={late.show}
      style={fill ? { background: fill[0], color: fill[1] } : undefined}
    >
      {late.show}
    </div>
  );
}

/** How far the helper moves the target before this cue. */
export const movedWords = (letter: string, movedM: number): string =>
  movedM === 0
    ? say('letterStands', { letter })
    : `${letter} ${Math.abs(movedM).toFixed(1)} m ${movedM > 0 ? 'farther' : 'nearer'}`;

/** The cue, as large as possible, to be seen from across a floor. */
export function CueDisplay({
  plan,
  shown,
  waiting,
}: {
  plan: CuePlan;
  shown: Shown;
  /** Shown while nothing is called; "Ready" by default. */
  waiting?: ReactNode;
}): ReactElement {
  const { letter, late } = shown;
  const target = letter === null ? undefined : targetOf(plan.pattern, letter);
  return (
    <Box data-testid="cue" data-cue={letter ?? ''} aria-live="assertive">
      {target ? (
        glyphOf(screenKindOf(plan.conditions), plan, target)
      ) : (
        <span className="ready">{waiting ?? say('ready')}</span>
      )}
      {late && <Late late={late} />}
    </Box>
  );
}
