import { colourSeen } from '@orthokin/core/floor';
import { commaList, listWords } from '../../words/format.js';
import { say } from '../../words/floor.js';
import type { FloorSetup } from '../plan-drill.js';

const BUILT = [
  ['shoulderM', 'ownShoulders'],
  ['strideM', 'ownStride'],
  ['reachM', 'ownReach'],
] as const;

/** Why the markers have other colours than the pattern's; `null` if they do not. */
export function colourWords({ athlete, pattern }: FloorSetup): string | null {
  const changed = pattern.targets.filter(({ colour }) => !colourSeen(colour, athlete.colourVision));
  if (changed.length === 0) return null;
  const why =
    athlete.colourVision === 'none'
      ? say('doesNotTellColoursApart')
      : say('doesNotTellColourvision', {
          colourVision: athlete.colourVision.replace('-', ' from '),
        });
  return say('athleteWhyChangedShownOtherColours', {
    athlete: athlete.name,
    why,
    changed: commaList(changed.map(({ letter }) => letter)),
  });
}

/** Which of the athlete's own lengths the footwork is laid by; `null` if none is known. */
export function builtWords({ athlete, built }: FloorSetup): string | null {
  const lengths = BUILT.filter(([name]) => built[name] !== 'pattern').map(([name, key]) =>
    say('lengthFrom', {
      length:
        name === 'reachM' && built.held ? say('ownReachWith', { held: built.held }) : say(key),
      from: say(built[name] === 'measured' ? 'fromMeasured' : 'fromHeight'),
    }),
  );
  if (lengths.length === 0) return null;
  return say('feetLaidFor', { athlete: athlete.name, lengths: listWords(lengths) });
}
