import type { Drawn } from '@orthokin/core/film';
import type { ReactElement } from 'react';
import { colour } from '../../parts/tokens.js';
import { drawnPlaces, drawnWords } from './drawn-words.js';

/** Drawings with their angles. `unit`: film pixels per screen pixel. */
export const DrawnThings = ({
  drawn,
  unit,
}: {
  drawn: readonly Drawn[];
  unit: number;
}): ReactElement => (
  <g>
    {drawn.map((thing, i) => {
      const words = drawnWords(thing);
      return (
        <g key={i}>
          <polyline
            points={drawnPlaces(thing)
              .map(({ x, y }) => `${x},${y}`)
              .join(' ')}
            fill="none"
            stroke={colour('here')}
            strokeWidth={3 * unit}
            strokeLinejoin="round"
            strokeLinecap="round"
          />
          {words && (
            <text
              x={words.at.x + 10 * unit}
              y={words.at.y - 8 * unit}
              fontSize={18 * unit}
              fontWeight={700}
              fill={colour('ink')}
              stroke={colour('raised')}
              strokeWidth={5 * unit}
              paintOrder="stroke"
            >
              {words.text}
            </text>
          )}
        </g>
      );
    })}
  </g>
);
