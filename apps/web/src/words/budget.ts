import {
  fromMetresPerSecond,
  type BestHome,
  type Feasibility,
  type OwnSpeed,
  type Rally,
  type SpeedUnit,
  type TargetBudget,
} from '@orthokin/core/budget';
import type { Point } from '@orthokin/core/floor';
import type { OwnReach } from '@orthokin/core/people';
import { problemSentence, type Problem } from '@orthokin/core/result';
import { commaList, seconds, secondsWithUnit } from './format.js';
import { budget as en } from './en/budget.js';
import { speaker } from './say.js';

const say = speaker(en);

const metres = (m: number): string => `${m.toFixed(1)} m`;

/** How far from where they stand somebody takes what comes, and how that is known. */
export const ownReachSentence = (name: string, { reachM, from, held }: OwnReach): string =>
  reachM > 0
    ? say('reachKnown', {
        ...{ name, reach: metres(reachM), from: REACH_FROM[from], held: held ?? 'none' },
      })
    : say('reachUnknown', { name });

const REACH_FROM = { measured: 'measured', 'from height': 'height', pattern: 'pattern' } as const;

/** Explains why a flight does not arrive; the two problems a slider can lead to have sentences of their own. */
const flightProblem = (problem: Problem): string =>
  problem.field === 'launchSpeed'
    ? say('tooSlow')
    : problem.field === 'bounces'
      ? say('bouncesTwice')
      : problemSentence(problem);

/** Whether a target is in reach, with its numbers. */
export function reachSentence(
  { letter, distanceM, flight, feasible }: TargetBudget,
  name: string,
): string {
  if (!flight.ok) return `${letter}: ${flightProblem(flight.problem)}`;
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

/** How far off mental arithmetic (distance by speed) is. */
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

/** Time to spare, marked as enough, tight or too little. */
export function spareWords({ spareMs, verdict }: Feasibility): string {
  const s = seconds(Math.abs(spareMs));
  switch (verdict) {
    case 'yes':
      return say('spareYes', { s });
    case 'only just':
      return say(spareMs < 0 ? 'spareJustUnder' : 'spareJust', { s });
    case 'no':
      return say('spareNo', { s });
  }
}

const SAME_M = 0.05;

/** One place relative to another: "half a metre back, to the left". */
function asideWords(from: Point, to: Point): string {
  const [right, forward] = [to.x - from.x, to.y - from.y];
  const words = [
    ...(Math.abs(forward) < SAME_M
      ? []
      : [say(forward > 0 ? 'forwardBy' : 'backBy', { m: metres(Math.abs(forward)) })]),
    ...(Math.abs(right) < SAME_M
      ? []
      : [say(right > 0 ? 'rightBy' : 'leftBy', { m: metres(Math.abs(right)) })]),
  ];
  return commaList(words);
}

/** The best home base, and what it gains. */
export const bestHomeSentence = (
  { at, spareMs, nowSpareMs }: BestHome,
  waitsAt: Point,
  name: string,
): string =>
  say('bestHome', {
    ...{ name, aside: asideWords(waitsAt, at) },
    now: signed(nowSpareMs),
    then: signed(spareMs),
  });

const signed = (ms: number): string =>
  say(ms < 0 ? 'minusS' : 'plusS', { s: seconds(Math.abs(ms)) });

/** Why some targets have no recovery budget; `null` if all have one. */
export function noRecoverySentence(budgets: readonly TargetBudget[]): string | null {
  const missing = budgets.flatMap(({ letter, recovery }) =>
    recovery.ok ? [] : [{ letter, problem: recovery.problem }],
  );
  const [first] = missing;
  if (!first) return null;
  return say('noRecovery', {
    letters: commaList(missing.map(({ letter }) => letter)),
    problem: flightProblem(first.problem),
  });
}

/** What flew, as stored with a limit. */
export function flightWords(
  {
    projectile,
    speed,
    unit,
    lift,
  }: Pick<Rally, 'projectile' | 'speed' | 'lift'> & { readonly unit: SpeedUnit },
  wayM: number,
  letter: string,
): string {
  const key = lift?.isLobbed ? 'lobbedOver' : 'projectileFrommetrespersecondUnitOverMetresLetter';
  return say(key, {
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
