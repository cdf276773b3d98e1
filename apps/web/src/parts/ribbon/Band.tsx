import type { ReactElement } from 'react';
import { phaseFill } from '../phases.js';
import { colour } from '../tokens.js';
import type { Scale } from './scale.js';
import type { Segment } from './segments.js';

/** A band of a ribbon; phases that share it are stacked. */
export function Band({
  segment: { phases, fromMs, toMs },
  scale,
  height,
}: {
  segment: Segment;
  scale: Scale;
  height: number;
}): ReactElement {
  const x = scale.x(fromMs);
  const each = height / phases.length;
  return (
    <>
      {phases.map((phase, i) => (
        <rect
          key={phase}
          x={x}
          y={i * each}
          width={Math.max(0, scale.x(toMs) - x)}
          height={each}
          fill={phaseFill(phase)}
        />
      ))}
    </>
  );
}

/** A limit as a tick over a band: the ribbon must stop before it. */
export const LimitTick = ({ x, height }: { x: number; height: number }): ReactElement => (
  <g stroke={colour('ink')} strokeWidth={2.5}>
    <line x1={x} x2={x} y1={-5} y2={height + 5} stroke={colour('paper')} strokeWidth={5} />
    <line x1={x} x2={x} y1={-5} y2={height + 5} />
  </g>
);
