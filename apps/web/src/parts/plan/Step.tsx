import type { Point } from '@orthokin/core/floor';
import type { Placement } from '@orthokin/core/pattern';
import { memo, type ReactElement } from 'react';
import { PHASE_COLOURS } from '../phases.js';
import { colour } from '../tokens.js';
import { SHOE_M, Sole } from './Sole.js';
import { stepNumberPlaces } from './step-numbers.js';

/** One foot put down, in the colour of its phase. */
export const StepSole = memo(function StepSole({
  placement: { at, headingDeg, foot, phase },
}: {
  placement: Placement;
}): ReactElement {
  return (
    <Sole
      foot={foot}
      x={at.x}
      y={-at.y}
      headingDeg={headingDeg}
      length={SHOE_M}
      ink={PHASE_COLOURS[phase]}
    />
  );
});

/** The steps' numbers, above all soles. */
export const StepNumbers = memo(function StepNumbers({
  placements,
}: {
  placements: readonly Placement[];
}): ReactElement {
  return (
    <g
      textAnchor="middle"
      fontSize={0.13}
      fontWeight={650}
      fill={colour('ink')}
      pointerEvents="none"
      className="mono"
    >
      {stepNumberPlaces(placements).map(({ x, y }, i) => (
        <g key={i} transform={`translate(${x} ${-y})`}>
          <circle r={0.09} fill={colour('floor')} fillOpacity={0.8} />
          <text dy="0.35em">{i + 1}</text>
        </g>
      ))}
    </g>
  );
});

/** The path of the point midway between the feet. */
export const PathLine = ({
  path,
  ink,
  faint = false,
}: {
  path: readonly Point[];
  ink: string;
  faint?: boolean;
}): ReactElement => (
  <polyline
    points={path.map(({ x, y }) => `${x},${-y}`).join(' ')}
    fill="none"
    stroke={ink}
    strokeWidth={faint ? 0.025 : 0.045}
    strokeDasharray={faint ? undefined : '0.09 0.07'}
    opacity={faint ? 0.55 : 1}
  />
);
