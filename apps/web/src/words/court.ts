import {
  lengthWords,
  placeOnCourt,
  type CourtName,
  type LengthUnit,
  type Point,
  type SizeM,
} from '@orthokin/core/floor';
import { court as en } from './en/court.js';
import { speaker } from './say.js';

const say = speaker(en);

/** Nearer than this to a line, somebody stands on it, m. */
const ON_M = 0.05;

/** Where home base stands, by the names its court has for its lines. */
export function homeWords(
  court: CourtName,
  size: SizeM | null,
  home: Point,
  unit: LengthUnit,
): string {
  const { across, beforeM, along, rightM } = placeOnCourt(court, size, home);
  const far = (metres: number) => lengthWords(Math.abs(metres), unit);
  const forward =
    Math.abs(beforeM) < ON_M
      ? say('onLine', { name: across.name })
      : say(beforeM > 0 ? 'beforeLine' : 'behindLine', { name: across.name, far: far(beforeM) });
  if (along.name === 'middle' && Math.abs(home.x) < ON_M) return say('inMiddle', { forward });
  const aside =
    Math.abs(rightM) < ON_M
      ? say('onLine', { name: along.name })
      : say(rightM > 0 ? 'rightOf' : 'leftOf', { name: along.name, far: far(rightM) });
  return say('forwardAndAside', { forward, aside });
}
