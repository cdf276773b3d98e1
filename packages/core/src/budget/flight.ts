import { ok, wrong, type Result } from '../result/index.js';
import { AIR_DENSITY, type Projectile } from './projectile.js';

/** A bounce on floor or wall: how far along the way, and the share of speed kept. */
export interface Bounce {
  readonly atM: number;
  readonly speedKept: number;
}

/** What flies, how fast it leaves and how far it has to come. */
export interface FlightPlan {
  readonly projectile: Projectile;
  /** m/s. */
  readonly launchSpeed: number;
  /** From contact to contact, along the way it flies, m. */
  readonly distanceM: number;
  readonly bounce: Bounce | null;
  /** kg/m³; 1.2 when absent. */
  readonly airDensity?: number;
}

/** A flight to the end of its way: its time, s, and what is left of its speed, m/s. */
export interface Flight {
  readonly timeS: number;
  /** m/s. */
  readonly arrivalSpeed: number;
  /** Distance over launch speed: what is reckoned in the head, s. */
  readonly plainTimeS: number;
  /** How much of the true time the plain figure leaves out, as a share of the plain figure. */
  readonly plainOffShare: number;
}

const positive = (field: string, given: number, unit: string): Result<never> | null =>
  given > 0 && Number.isFinite(given) ? null : wrong(field, given, `more than 0 ${unit}`);

function problemOf(plan: FlightPlan): Result<never> | null {
  const { projectile, launchSpeed, distanceM, bounce, airDensity = AIR_DENSITY } = plan;
  if (bounce && !(bounce.atM > 0 && bounce.atM < distanceM))
    return wrong('bounce.atM', bounce.atM, `between 0 and ${distanceM} m, the whole way`);
  if (bounce && !(bounce.speedKept > 0 && bounce.speedKept <= 1))
    return wrong('bounce.speedKept', bounce.speedKept, 'more than 0, at most 1');
  return (
    positive('massKg', projectile.massKg, 'kg') ??
    positive('diameterM', projectile.diameterM, 'm') ??
    positive('dragCoefficient', projectile.dragCoefficient, '') ??
    positive('launchSpeed', launchSpeed, 'm/s') ??
    positive('distanceM', distanceM, 'm') ??
    positive('airDensity', airDensity, 'kg/m³')
  );
}

/** k of v′ = −k·v²: ρ·Cd·A/(2m), 1/m. */
export const dragPerMetre = (
  { massKg, diameterM, dragCoefficient }: Projectile,
  airDensity: number,
): number => (airDensity * dragCoefficient * Math.PI * (diameterM / 2) ** 2) / (2 * massKg);

/**
 * Time of a level flight with drag by the square of speed: t = (e^(ks) − 1)/(k·v₀), v = v₀·e^(−ks).
 * After a bounce the kept speed flies the rest of the way. Gravity is left out: what matters to the
 * athlete is how soon it comes, not how high.
 *
 * @example
 * const projectile = PROJECTILES[0];
 * const plan = { projectile, launchSpeed: 20, distanceM: 10, bounce: null };
 * flightOf(plan).value.timeS > 0.5; // true
 */
export function flightOf(plan: FlightPlan): Result<Flight> {
  const problem = problemOf(plan);
  if (problem) return problem;
  const { projectile, launchSpeed, distanceM, bounce, airDensity = AIR_DENSITY } = plan;
  const k = dragPerMetre(projectile, airDensity);
  // expm1 keeps its digits where the drag is next to nothing.
  const leg = (fromSpeed: number, metres: number) => ({
    timeS: Math.expm1(k * metres) / (k * fromSpeed),
    speed: fromSpeed * Math.exp(-k * metres),
  });
  const first = leg(launchSpeed, bounce?.atM ?? distanceM);
  const second = bounce
    ? leg(first.speed * bounce.speedKept, distanceM - bounce.atM)
    : { timeS: 0, speed: first.speed };
  const timeS = first.timeS + second.timeS;
  const plainTimeS = distanceM / launchSpeed;
  return ok({
    timeS,
    arrivalSpeed: second.speed,
    plainTimeS,
    plainOffShare: timeS / plainTimeS - 1,
  });
}

/** How far along its way it is after so many seconds, m; its whole way once it is there. */
export function flownMetres(plan: FlightPlan, timeS: number): number {
  const { projectile, launchSpeed, distanceM, bounce, airDensity = AIR_DENSITY } = plan;
  const k = dragPerMetre(projectile, airDensity);
  const flown = (fromSpeed: number, seconds: number) => Math.log1p(k * fromSpeed * seconds) / k;
  if (timeS <= 0) return 0;
  if (!bounce) return Math.min(distanceM, flown(launchSpeed, timeS));
  const toBounceS = Math.expm1(k * bounce.atM) / (k * launchSpeed);
  if (timeS <= toBounceS) return flown(launchSpeed, timeS);
  const after = launchSpeed * Math.exp(-k * bounce.atM) * bounce.speedKept;
  return Math.min(distanceM, bounce.atM + flown(after, timeS - toBounceS));
}
