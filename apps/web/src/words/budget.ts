import {
  fromMetresPerSecond,
  type OwnSpeed,
  type Rally,
  type SpeedUnit,
  type TargetBudget,
} from '@orthokin/core/budget';
import { problemSentence } from '@orthokin/core/result';
import { secondsWithUnit } from './format.js';
import { budget as en } from './en/budget.js';
import { speaker } from './say.js';

const say = speaker(en);

const metres = (m: number): string => `${m.toFixed(1)} m`;

/** Whether a target is in reach, with its numbers. */
export function reachSentence(
  { letter, distanceM, flight, feasible }: TargetBudget,
  name: string,
): string {
  if (!flight.ok) return `${letter}: ${problemSentence(flight.problem)}`;
  const needs = say('letterNeedsMetresTimes', {
    letter,
    metres: metres(distanceM),
    timeS: secondsWithUnit(1000 * flight.value.timeS),
  });
  if (!feasible) return `${needs}.`;
  const best = say('nameSOwnLineSaysNeedsms', { name, needsMs: secondsWithUnit(feasible.needsMs) });
  switch (feasible.verdict) {
    case 'yes':
      return say('needsBestReachSparemsSpareLoad', {
        needs,
        best,
        spareMs: secondsWithUnit(feasible.spareMs),
        stance: feasible.stance,
      });
    case 'only just':
      return say('needsBestOnlyJustWithinWhat', { needs, best });
    case 'no':
      return say('needsBestOutReachSparems', {
        needs,
        best,
        spareMs: secondsWithUnit(-feasible.spareMs),
      });
  }
}

/** How far off the figure in the head is. */
export function plainSentence(budgets: readonly TargetBudget[]): string | null {
  const flights = budgets.flatMap(({ flight }) => (flight.ok ? [flight.value] : []));
  if (flights.length === 0) return null;
  const off = flights.map(({ plainOffShare }) => Math.round(100 * plainOffShare));
  const [least, most] = [Math.min(...off), Math.max(...off)];
  const range = least === most ? `${least} %` : say('leastMost', { least, most });
  return say('distanceOverSpeedWouldSayRange', {
    range,
    which: budgets.length > 0 ? say('whatWallBounceTake') : '',
  });
}

/** What flew, as it is kept with a limit. */
export function flightWords(
  { projectile, speed, unit }: Pick<Rally, 'projectile' | 'speed'> & { readonly unit: SpeedUnit },
  wayM: number,
  letter: string,
): string {
  return say('projectileFrommetrespersecondUnitOverMetresLetter', {
    projectile: projectile.name,
    fromMetresPerSecond: fromMetresPerSecond(speed, unit).toFixed(0),
    unit,
    metres: metres(wayM),
    letter,
  });
}

export const ownSpeedSentence = (name: string, { reactionMs, travel, n }: OwnSpeed): string =>
  say('nameReactionReactionmsSpeedingUpAcceleration', {
    name,
    reactionMs: secondsWithUnit(reactionMs),
    acceleration: travel.acceleration.toFixed(1),
    topSpeed: travel.topSpeed.toFixed(1),
    n,
    residualSdS: secondsWithUnit(1000 * travel.residualSdS),
  });
