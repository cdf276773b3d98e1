import { angleAt, leanOf, type Drawn } from '@orthokin/core/film';
import type { Point } from '@orthokin/core/floor';
import type { ReactElement } from 'react';
import { colour } from '../../parts/tokens.js';
import { say } from '../../words/film.js';

const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** What is written beside a thing, and where. */
function wordsOf(thing: Drawn): { readonly at: Point; readonly text: string } | null {
  switch (thing.kind) {
    case 'line':
      return {
        at: middle(thing.from, thing.to),
        text: say('leans', { degrees: Math.round(leanOf(thing.from, thing.to)) }),
      };
    case 'angle':
      return {
        at: thing.at,
        text: say('degrees', { degrees: Math.round(angleAt(thing.from, thing.at, thing.to)) }),
      };
    case 'word':
      return { at: thing.at, text: thing.text };
    case 'path':
      return null;
  }
}

const placesOf = (thing: Drawn): readonly Point[] => {
  switch (thing.kind) {
    case 'line':
      return [thing.from, thing.to];
    case 'angle':
      return [thing.from, thing.at, thing.to];
    case 'path':
      return thing.places;
    case 'word':
      return [];
  }
};

/** Things drawn on a picture, with their angles; `unit`: pixels of the film to one of the screen. */
export const DrawnThings = ({
  drawn,
  unit,
}: {
  drawn: readonly Drawn[];
  unit: number;
}): ReactElement => (
  <g>
    {drawn.map((thing, i) => {
      const words = wordsOf(thing);
      return (
        <g key={i}>
          <polyline
            points={placesOf(thing)
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
