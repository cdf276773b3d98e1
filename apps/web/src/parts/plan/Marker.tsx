import type { MarkerShape, Target } from '@orthokin/core/floor';
import type { ReactElement } from 'react';
import { MARKER_FILLS } from '../tokens.js';

type Coded = Pick<Target, 'letter' | 'shape' | 'colour'>;

/** Outlines of similar visual weight, in a box from −1 to 1, y down. */
const OUTLINES: Readonly<Record<MarkerShape, string>> = {
  circle: 'M0-.94A.94 .94 0 1 1 0 .94 .94 .94 0 1 1 0-.94Z',
  square: 'M-.82-.82H.82V.82H-.82Z',
  triangle: 'M0-1 1 .82H-1Z',
  diamond: 'M0-1 1 0 0 1-1 0Z',
  hexagon: 'M-.5-.87H.5L1 0 .5 .87H-.5L-1 0Z',
  cross: 'M-.42-.96H.42V-.42H.96V.42H.42V.96H-.42V.42H-.96V-.42H-.42Z',
};

const EDGE = 0.07;

/** A triangle's centroid is below the centre of its box. */
const letterDown = (shape: MarkerShape) => (shape === 'triangle' ? 0.26 : 0);

/** A marker as an SVG group, centred at (x, y). */
export function MarkerShapeAt({
  target,
  x = 0,
  y = 0,
  size,
}: {
  target: Coded;
  x?: number;
  y?: number;
  /** Half its width, in the SVG's units. */
  size: number;
}): ReactElement {
  const [fill, letter] = MARKER_FILLS[target.colour];
  const isTriangle = target.shape === 'triangle';
  return (
    <g transform={`translate(${x} ${y}) scale(${size})`}>
      <path
        d={OUTLINES[target.shape]}
        fill={fill}
        stroke="var(--ink)"
        strokeWidth={EDGE}
        strokeLinejoin="round"
      />
      <text
        y={letterDown(target.shape)}
        dy="0.36em"
        textAnchor="middle"
        fontSize={isTriangle ? 0.86 : 1}
        fontWeight={750}
        fill={letter}
      >
        {target.letter}
      </text>
    </g>
  );
}

/** A marker on its own, in a given size or filling its container. */
export const Marker = ({
  target,
  size,
}: {
  target: Coded;
  size: number | '100%';
}): ReactElement => (
  <svg
    width={size}
    height={size}
    viewBox="-1.08 -1.08 2.16 2.16"
    role="img"
    aria-label={`${target.letter}, ${target.colour} ${target.shape}`}
    style={{ display: 'block', flex: 'none' }}
  >
    <MarkerShapeAt target={target} size={1} />
  </svg>
);
