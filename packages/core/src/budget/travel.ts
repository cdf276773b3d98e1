/** How an athlete covers ground: equal acceleration and braking, and a top speed. */
export interface TravelModel {
  /** m/s². */
  readonly acceleration: number;
  /** m/s. */
  readonly topSpeed: number;
}

/**
 * Shortest time from rest to rest over a distance, seconds: 2√(d/a) if d ≤ v²/a, else d/v + v/a.
 *
 * @example
 * travelTime(3, { acceleration: 5, topSpeed: 8 }).toFixed(2); // '1.55'
 */
export function travelTime(distanceM: number, { acceleration, topSpeed }: TravelModel): number {
  return distanceM <= topSpeed ** 2 / acceleration
    ? 2 * Math.sqrt(distanceM / acceleration)
    : distanceM / topSpeed + topSpeed / acceleration;
}

/**
 * Farthest that can be gone from rest to rest in so many seconds, m: at²/4 while the top speed is not
 * reached, else vt − v²/a. The inverse of {@link travelTime}.
 *
 * @example
 * distanceReached(1.55, { acceleration: 5, topSpeed: 8 }).toFixed(1); // '3.0'
 */
export function distanceReached(timeS: number, { acceleration, topSpeed }: TravelModel): number {
  if (timeS <= 0) return 0;
  return timeS <= (2 * topSpeed) / acceleration
    ? (acceleration * timeS ** 2) / 4
    : topSpeed * timeS - topSpeed ** 2 / acceleration;
}

/** Metres covered after `timeS` seconds of such a run from rest to rest over `distanceM`. */
export function distanceCovered(timeS: number, distanceM: number, model: TravelModel): number {
  const total = travelTime(distanceM, model);
  if (timeS <= 0) return 0;
  if (timeS >= total) return distanceM;
  if (timeS > total / 2) return distanceM - distanceCovered(total - timeS, distanceM, model);
  const { acceleration: a, topSpeed } = model;
  const speedingUp = Math.min(timeS, topSpeed / a);
  return (a * speedingUp ** 2) / 2 + topSpeed * (timeS - speedingUp);
}

/** Seconds after which `coveredM` of such a run are done: the inverse of `distanceCovered`. */
export function timeToCover(coveredM: number, distanceM: number, model: TravelModel): number {
  const total = travelTime(distanceM, model);
  if (coveredM <= 0) return 0;
  if (coveredM >= distanceM) return total;
  if (coveredM > distanceM / 2) return total - timeToCover(distanceM - coveredM, distanceM, model);
  const { acceleration: a, topSpeed } = model;
  const whileSpeedingUp = topSpeed ** 2 / (2 * a);
  return coveredM <= whileSpeedingUp
    ? Math.sqrt((2 * coveredM) / a)
    : topSpeed / a + (coveredM - whileSpeedingUp) / topSpeed;
}
