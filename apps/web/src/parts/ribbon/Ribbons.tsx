import type { Target } from '@orthokin/core/floor';
import type { RepReading } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { colour } from '../tokens.js';
import { useWidth } from '../useWidth.js';
import { Axis, AXIS } from './Axis.js';
import { FIGURES_FROM_RIGHT, LEFT, Ribbon, rowHeight } from './Ribbon.js';
import { scaleFor, type Limits } from './scale.js';

/** Room for the two figures and a flag on the right; without it flags go under their band. */
const RIGHT = 250;
const WIDE_ENOUGH = 640;

const Frame = styled.div`
  overflow: hidden;
  svg {
    display: block;
  }
`;

/** The reps of a set as ribbons on one axis whose zero is the cue. */
export function Ribbons({
  readings,
  targets,
  limitsMs,
}: {
  readings: readonly RepReading[];
  targets: readonly Target[];
  limitsMs: Limits;
}): ReactElement {
  const [ref, width] = useWidth<HTMLDivElement>(800);
  const roomy = width >= WIDE_ENOUGH;
  const scale = scaleFor(readings, limitsMs, LEFT, width - (roomy ? RIGHT : 6));
  const tops = readings.reduce<number[]>(
    (all, reading) => [...all, (all.at(-1) ?? 0) + rowHeight(reading, roomy)],
    [0],
  );
  const height = AXIS + (tops.at(-1) ?? 0) + 8;
  return (
    <Frame ref={ref}>
      <svg width={width} height={height}>
        <Axis scale={scale} height={height - 8} limitsMs={limitsMs} />
        {roomy && (
          <g fontSize={14} textAnchor="end" fill={colour('quiet')}>
            <text x={width - FIGURES_FROM_RIGHT.reaction} y={AXIS - 12}>
              reaction
            </text>
            <text x={width - FIGURES_FROM_RIGHT.recovery} y={AXIS - 12}>
              recovery
            </text>
          </g>
        )}
        {readings.map((reading, i) => (
          <g key={reading.rep.ordinal} transform={`translate(0 ${AXIS + 10 + (tops[i] ?? 0)})`}>
            <Ribbon
              reading={reading}
              target={targets.find(({ letter }) => letter === reading.rep.target)}
              limitsMs={limitsMs}
              scale={scale}
              width={width}
              roomy={roomy}
            />
          </g>
        ))}
      </svg>
    </Frame>
  );
}
