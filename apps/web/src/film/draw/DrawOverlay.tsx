import type { ReactElement } from 'react';
import styled from 'styled-components';
import { colour, MONO } from '../../parts/tokens.js';
import { say } from '../../words/film.js';
import { PictureSurface } from '../screen/PictureSurface.js';
import { DrawnThings } from './DrawnThings.js';
import type { DrawWork } from './useDrawing.js';

const Seen = styled.svg`
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
  text {
    font-family: ${MONO};
  }
`;

/** The drawings on the current frame; takes clicks while something is being drawn. */
export function DrawOverlay({
  work,
  widthPx,
  heightPx,
  unit,
}: {
  work: DrawWork;
  widthPx: number;
  heightPx: number;
  unit: number;
}): ReactElement | null {
  const { tool, drawn, places } = work;
  if (tool === null)
    return drawn.length === 0 ? null : (
      <Seen
        viewBox={`0 0 ${widthPx} ${heightPx}`}
        preserveAspectRatio="none"
        role="img"
        aria-label={say('drawnOnFrame', { count: drawn.length })}
      >
        <DrawnThings {...{ drawn, unit }} />
      </Seen>
    );
  return (
    <PictureSurface
      label={say('pictureToDraw')}
      {...{ widthPx, heightPx }}
      onPress={(at) => work.click(at)}
    >
      <DrawnThings {...{ drawn, unit }} />
      {places.map(({ x, y }, i) => (
        <circle key={i} cx={x} cy={y} r={5 * unit} fill={colour('here')} />
      ))}
    </PictureSurface>
  );
}
