import { angleAt, leanOf, type Drawn } from '@orthokin/core/film';
import type { Point } from '@orthokin/core/floor';
import { say } from '../../words/film.js';
import type { Stroke } from './paint-strokes.js';

const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** What is written beside a thing, and where. */
export function drawnWords(thing: Drawn): { readonly at: Point; readonly text: string } | null {
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

/** The corners of what is drawn as a line; none of a word. */
export const drawnPlaces = (thing: Drawn): readonly Point[] => {
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

/** What is drawn, ready to be painted. */
export const strokesOf = (drawn: readonly Drawn[]): Stroke[] =>
  drawn.map((thing) => ({ places: drawnPlaces(thing), words: drawnWords(thing) }));
