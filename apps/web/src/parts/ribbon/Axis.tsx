import type { ReactElement } from 'react';
import { colour, MONO } from '../tokens.js';
import type { Limits, Scale } from './scale.js';

/** Height of the axis above the first rep. */
export const AXIS = 34;
const TICK_MS = 500;
/** Ticks closer than this many pixels would run into each other's labels. */
const CLOSEST_PX = 56;

/** The time axis: its zero is the cue, and the reaction limit runs through every rep. */
export function Axis({
  scale,
  height,
  limitsMs,
}: {
  scale: Scale;
  height: number;
  limitsMs: Limits;
}): ReactElement {
  const tickMs = scale.x(TICK_MS) - scale.x(0) < CLOSEST_PX ? 2 * TICK_MS : TICK_MS;
  const ticks = Array.from({ length: Math.floor(scale.endMs / tickMs) + 1 }, (_, i) => i * tickMs);
  const reaction = limitsMs.reaction;
  return (
    <g fontFamily={MONO} fontSize={13} textAnchor="middle" fill={colour('quiet')}>
      {ticks.map((ms) => (
        <g key={ms}>
          <line
            x1={scale.x(ms)}
            x2={scale.x(ms)}
            y1={AXIS - 6}
            y2={height}
            stroke={colour(ms === 0 ? 'ink' : 'rule')}
            strokeWidth={ms === 0 ? 2 : 1}
          />
          <text x={scale.x(ms)} y={AXIS - 12}>
            {ms === 0 ? 'cue' : `${(ms / 1000).toFixed(1)}${ms === tickMs ? ' s' : ''}`}
          </text>
        </g>
      ))}
      {reaction !== undefined && (
        <line
          x1={scale.x(reaction)}
          x2={scale.x(reaction)}
          y1={AXIS - 6}
          y2={height}
          stroke={colour('ink')}
          strokeDasharray="2 4"
        />
      )}
    </g>
  );
}
