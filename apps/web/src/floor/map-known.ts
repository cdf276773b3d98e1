import type { Recognised } from '@orthokin/core/cue';
import { remembered } from '../device/preferences.js';
import { say } from '../words/floor.js';
import { commaList } from '../words/format.js';

/** An athlete's last result in practising a pattern's cues, on this device. */
export interface MapKnown {
  /** ISO 8601. */
  readonly at: string;
  readonly unknown: readonly string[];
  readonly of: number;
}

export const mapName = (athleteId: string, patternId: string): string =>
  `map.${athleteId}.${patternId}`;

export const mapKnown = (athleteId: string, patternId: string): MapKnown | null =>
  remembered<MapKnown | null>(mapName(athleteId, patternId), null);

export const knownOf = (found: readonly Recognised[]): Omit<MapKnown, 'at'> => ({
  unknown: found.filter(({ known }) => !known).map(({ letter }) => letter),
  of: found.length,
});

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six'];

const all = (n: number): string =>
  n === 1 ? say('oneCue') : say('allNumbersCues', { NUMBERS: NUMBERS[n] ?? n });

/** A sentence on how well an athlete knows the cues. */
export const mapSentence = (name: string, { unknown, of }: Omit<MapKnown, 'at'>): string =>
  unknown.length === 0
    ? say('nameKnowsAll', { name, all: all(of) })
    : say('nameDoesNotKnowWhichYet', {
        name,
        which: unknown.length === of ? say('anyCues') : commaList(unknown),
      });
