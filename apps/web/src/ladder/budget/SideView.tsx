import type { DrawnFlight } from '@orthokin/core/budget';
import type { ReactElement } from 'react';
import { colour } from '../../parts/tokens.js';
import { say } from '../../words/ladder.js';

const EDGE_M = 0.5;
/** Text height as a share of the distance. */
const TEXT_SHARE = 42;
/** The least height drawn, m. */
const LEAST_HIGH_M = 2;

/** A flight from the side, with its place every tenth of a second. */
export function SideView({
  side,
  letter,
  highestM,
}: {
  side: NonNullable<DrawnFlight['side']>;
  letter: string;
  highestM: number;
}): ReactElement {
  const { line, each, wallAtM } = side;
  const [start, end] = [line[0], line.at(-1)];
  const longM = end?.atM ?? 0;
  const highM = Math.max(LEAST_HIGH_M, highestM) + EDGE_M;
  const size = longM / TEXT_SHARE;
  return (
    <svg
      viewBox={`${-EDGE_M} ${-highM} ${longM + 2 * EDGE_M} ${highM + 2.2 * size}`}
      role="img"
      aria-label={say('sideLabel', { letter, highest: highestM.toFixed(1) })}
      style={{ display: 'block', width: '100%', maxHeight: 240 }}
    >
      <rect
        x={-EDGE_M}
        y={0}
        width={longM + 2 * EDGE_M}
        height={0.2 * size}
        fill={colour('floor')}
      />
      <line
        x1={-EDGE_M}
        x2={longM + EDGE_M}
        y1={0}
        y2={0}
        stroke={colour('ink')}
        strokeWidth={0.05}
      />
      {wallAtM !== null && (
        <line
          x1={wallAtM}
          x2={wallAtM}
          y1={0}
          y2={-highM}
          stroke={colour('ink')}
          strokeWidth={0.08}
        />
      )}
      <polyline
        points={line.map(({ atM, heightM }) => `${atM},${-heightM}`).join(' ')}
        fill="none"
        stroke={colour('here')}
        strokeWidth={0.05}
      />
      {each.map(({ atM, heightM }) => (
        <circle key={atM} cx={atM} cy={-heightM} r={size * 0.22} fill={colour('here')} />
      ))}
      <g fontSize={size} fill={colour('ink')} className="mono" textAnchor="middle">
        {start && (
          <text x={start.atM} y={1.4 * size} textAnchor="start">
            {say('struckAt', { m: start.heightM.toFixed(1) })}
          </text>
        )}
        {end && (
          <text x={end.atM} y={1.4 * size} textAnchor="end">
            {say('takenAt', { letter, m: end.heightM.toFixed(1) })}
          </text>
        )}
      </g>
    </svg>
  );
}
