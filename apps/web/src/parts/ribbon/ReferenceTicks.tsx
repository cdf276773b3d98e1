import type { TimedEvent } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import { PHASE_COLOURS } from '../phases.js';
import { colour } from '../tokens.js';
import type { Scale } from './scale.js';
import { segmentsOf } from './segments.js';

const TOP = 21;
const HEIGHT = 7;

/** Ticks below a band where the reference rep's phases end. */
export const ReferenceTicks = ({
  events,
  scale,
}: {
  events: readonly TimedEvent[];
  scale: Scale;
}): ReactElement => (
  <g>
    {segmentsOf(events).map(({ fromMs, toMs, phases: [phase] }) =>
      phase === undefined || phase === 'ready margin' || phase === 'stance' ? null : (
        <g key={fromMs}>
          <line
            x1={scale.x(fromMs)}
            x2={scale.x(toMs)}
            y1={TOP + HEIGHT / 2}
            y2={TOP + HEIGHT / 2}
            stroke={PHASE_COLOURS[phase]}
            strokeWidth={3}
          />
          <line
            x1={scale.x(toMs)}
            x2={scale.x(toMs)}
            y1={TOP}
            y2={TOP + HEIGHT}
            stroke={colour('ink')}
            strokeWidth={1.5}
          />
        </g>
      ),
    )}
  </g>
);
