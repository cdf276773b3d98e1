import { distanceCovered, travelTime, type TravelModel } from '../budget/index.js';
import { along, distance, HOME, type Point } from '../floor/index.js';
import { eventOf, type TimedEvent } from '../timing/index.js';

/** Share of a straight run done when `share` of its time has gone. */
function runShare(share: number, metres: number, model: TravelModel): number {
  const time = Math.min(1, Math.max(0, share)) * travelTime(metres, model);
  return distanceCovered(time, metres, model) / metres;
}

/** Where an athlete is at `atMs` of the set's clock, going straight to the target and back. */
export function positionAt(
  events: readonly TimedEvent[],
  target: Point,
  model: TravelModel,
  atMs: number,
): Point {
  const [firstMove, arrival, departure, home] = (
    ['firstMove', 'arrival', 'departure', 'home'] as const
  ).map((name) => eventOf(events, name)?.atMs);
  const metres = distance(HOME, target);
  if (firstMove === undefined || arrival === undefined || atMs <= firstMove || metres === 0)
    return HOME;
  if (departure === undefined || home === undefined || atMs <= departure)
    return along(HOME, target, runShare((atMs - firstMove) / (arrival - firstMove), metres, model));
  return along(target, HOME, runShare((atMs - departure) / (home - departure), metres, model));
}
