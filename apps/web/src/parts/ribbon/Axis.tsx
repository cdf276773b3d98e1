import type { ReactElement } from 'react';
import { colour, MONO } from '../tokens.js';
import type { AlignAt, Limits, Scale } from './scale.js';
import { say } from '../../words/parts.js';

export const ALIGN_WORDS: Readonly<Record<AlignAt, string>> = {
  cue: 'cue',
  firstMove: say('firstMove'),
  arrival: 'arrived',
  home: 'home',
};

/** Height of the axis above the first rep. */
export const AXIS = 34;
const TICK_MS = 500;
/** Labels of ticks closer than this would overlap, px. */
const CLOSEST_PX = 56;
/** A label closer to the end than this would overlap the heads of the figures, px. */
const LAST_LABEL_PX = 22;

/** The time axis. Its zero is the event the reps are aligned at; the reaction limit is drawn through all reps. */
export function Axis({
  scale,
  height,
  limitsMs,
  at = 'cue',
}: {
  scale: Scale;
  height: number;
  limitsMs: Limits;
  at?: AlignAt;
}): ReactElement {
  const tickMs = scale.x(TICK_MS) - scale.x(0) < CLOSEST_PX ? 2 * TICK_MS : TICK_MS;
  const [first, last] = [Math.ceil(scale.startMs / tickMs), Math.floor(scale.endMs / tickMs)];
  const ticks = Array.from({ length: last - first + 1 }, (_, i) => (first + i) * tickMs);
  const reaction = at === 'cue' ? limitsMs.reaction : undefined;
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
            {scale.x(scale.endMs) - scale.x(ms) < LAST_LABEL_PX
              ? ''
              : ms === 0
                ? ALIGN_WORDS[at]
                : `${(ms / 1000).toFixed(1).replace('-', '−')}${ms === tickMs ? ' s' : ''}`}
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
