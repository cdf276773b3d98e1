import { angleAt, leanOf, type Drawn } from '@orthokin/core/film';
import type { Point } from '@orthokin/core/floor';
import { say } from '../../words/film.js';
import type { Stroke } from './paint-strokes.js';

const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** The label of a drawing, and its place. */
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

/** The points of a drawing that is a line; none for a word. */
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

/** Drawings as strokes, ready to paint. */
export const strokesOf = (drawn: readonly Drawn[]): Stroke[] =>
  drawn.map((thing) => ({ places: drawnPlaces(thing), words: drawnWords(thing) }));
