import { targetOf, type Pattern } from '../pattern/index.js';
import { layLeg } from './lay.js';

/**
 * A pattern on a smaller or larger floor: every target so much nearer or farther, and the feet laid
 * anew, since a step grows no longer with the floor.
 */
export function onScale<Scaled extends Pattern>(pattern: Scaled, scale: number): Scaled {
  if (scale === 1) return pattern;
  const targets = pattern.targets.map((target) => ({
    ...target,
    at: { x: scale * target.at.x, y: scale * target.at.y },
  }));
  const scaled = { ...pattern, targets };
  return {
    ...scaled,
    legs: pattern.legs.flatMap((leg) => {
      const target = targetOf(scaled, leg.target);
      return target ? [layLeg(scaled, target, leg, leg)] : [];
    }),
  };
}
