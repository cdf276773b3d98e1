import { reachRings, type OwnSpeed } from '@orthokin/core/budget';
import type { Point } from '@orthokin/core/floor';
import type { ReactElement } from 'react';
import { colour } from '../../parts/tokens.js';
import { say } from '../../words/ladder.js';

/** Rings of equal time from home by the athlete's travel line. */
export const Rings = ({
  own,
  from,
  farM,
}: {
  own: OwnSpeed;
  from: Point;
  /** The farthest distance that was timed, m. */
  farM: number;
}): ReactElement => (
  <g
    transform={`translate(${from.x} ${-from.y})`}
    fill="none"
    stroke={colour('ink')}
    strokeOpacity={0.55}
    pointerEvents="none"
  >
    {reachRings(own, farM).map(({ atS, radiusM, isGuess }) => (
      <g key={atS}>
        <circle
          r={radiusM}
          strokeWidth={0.03}
          strokeDasharray={isGuess ? '0.12 0.14' : undefined}
        />
        <text
          x={0}
          y={-radiusM - 0.06}
          textAnchor="middle"
          fontSize={0.22}
          fill={colour('ink')}
          stroke="none"
          className="mono"
        >
          {say('ringAt', { s: atS.toFixed(2) })}
        </text>
      </g>
    ))}
  </g>
);
