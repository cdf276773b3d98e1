import { normal, seededRandom } from '../cue/index.js';
import type { SimulatedAthlete } from './athlete.js';

/**
 * An athlete's form on a day: the share by which all their times are longer (above 0) or shorter.
 * The same day, as a number, always gives the same athlete the same form.
 */
export function formOn({ dayFormSd = 0, reaction }: SimulatedAthlete, day: number): number {
  // Two athletes of a squad must not have the same good days.
  const seed = Math.imul(day, 2_654_435_761) ^ Math.round(1000 * (reaction.muMs + reaction.tauMs));
  return normal(seededRandom(seed >>> 0), 0, dayFormSd);
}
