import { NO_POSITIONS, TYPICAL_BUILD, type Pattern } from '../pattern/index.js';
import { readyStance } from './lay.js';

/** A pattern to begin with: an empty floor, a stance, and a home base wide enough for it. */
export const blankPattern = (name: string): Pattern => ({
  ...{ name, sport: '', notes: '', tags: [], hand: 'right' },
  court: 'rectangle',
  sizeM: { widthM: 8, lengthM: 8 },
  home: { onCourt: { x: 0, y: 4 }, radiusM: 0.45 },
  targets: [],
  stance: readyStance(TYPICAL_BUILD.shoulderM),
  splitWindowMs: [-60, 120],
  legs: [],
  positions: NO_POSITIONS,
  laidFor: TYPICAL_BUILD,
  accepted: [],
  rungs: [],
});
