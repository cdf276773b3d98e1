import {
  fromMetresPerSecond,
  type OwnSpeed,
  type Rally,
  type SpeedUnit,
  type TargetBudget,
} from '@orthokin/core/budget';
import { problemSentence } from '@orthokin/core/result';
import { secondsWithUnit } from './format.js';

const metres = (m: number): string => `${m.toFixed(1)} m`;

/** Whether a target is in reach, with its numbers. */
export function reachSentence(
  { letter, distanceM, flight, feasible }: TargetBudget,
  name: string,
): string {
  if (!flight.ok) return `${letter}: ${problemSentence(flight.problem)}`;
  const needs = `${letter} needs ${metres(distanceM)} in ${secondsWithUnit(1000 * flight.value.timeS)}`;
  if (!feasible) return `${needs}.`;
  const best = `${name}’s own line says ${secondsWithUnit(feasible.needsMs)}`;
  switch (feasible.verdict) {
    case 'yes':
      return `${needs}; ${best}: in reach, ${secondsWithUnit(feasible.spareMs)} to spare, load ${feasible.stance}.`;
    case 'only just':
      return `${needs}; ${best}: only just, within what single ways differ by.`;
    case 'no':
      return `${needs}; ${best}: out of reach by ${secondsWithUnit(-feasible.spareMs)}.`;
  }
}

/** How far off the figure in the head is. */
export function plainSentence(budgets: readonly TargetBudget[]): string | null {
  const flights = budgets.flatMap(({ flight }) => (flight.ok ? [flight.value] : []));
  if (flights.length === 0) return null;
  const off = flights.map(({ plainOffShare }) => Math.round(100 * plainOffShare));
  const [least, most] = [Math.min(...off), Math.max(...off)];
  const range = least === most ? `${least} %` : `${least} to ${most} %`;
  return `Distance over speed would say ${range} too little: it leaves out drag${budgets.length > 0 ? ' and what wall or bounce take' : ''}.`;
}

/** What flew, as it is kept with a limit. */
export function flightWords(
  { projectile, speed, unit }: Pick<Rally, 'projectile' | 'speed'> & { readonly unit: SpeedUnit },
  wayM: number,
  letter: string,
): string {
  return `${projectile.name}, ${fromMetresPerSecond(speed, unit).toFixed(0)} ${unit} over ${metres(wayM)} to ${letter}`;
}

export const ownSpeedSentence = (name: string, { reactionMs, travel, n }: OwnSpeed): string =>
  `${name}: reaction ${secondsWithUnit(reactionMs)}, speeding up at ${travel.acceleration.toFixed(1)} m/s² to ${travel.topSpeed.toFixed(1)} m/s, by ${n} timed ways; single ways lie about ${secondsWithUnit(1000 * travel.residualSdS)} off that line.`;
