import { PROJECTILES, type Lift, type Rally, type SpeedUnit } from '@orthokin/core/budget';
import type { Pattern } from '@orthokin/core/pattern';

/** A rally as the coach sets it, with speeds in their unit. */
export interface RallyPlan extends Rally {
  readonly unit: SpeedUnit;
}

const [SQUASH_BALL] = PROJECTILES;

/** Default heights: struck and taken at the waist, flat, on a hard floor. */
export const USUAL_LIFT: Lift = {
  ...{ struckM: 1, takenM: 1, isLobbed: false },
  ...{ alongKept: 0.7, upKept: 0.7 },
};

/** What flies in each sport. */
const FLIES: Readonly<Record<string, string>> = {
  squash: 'squash ball',
  tennis: 'tennis ball',
  badminton: 'shuttlecock',
  'table tennis': 'table-tennis ball',
  volleyball: 'volleyball',
  handball: 'handball',
  basketball: 'basketball',
  football: 'football (size 5)',
  baseball: 'baseball',
  cricket: 'cricket ball',
};

/** The default rally of a sport: off the front wall in squash, from across the net or floor elsewhere. */
export function usualRally({ sport }: Pick<Pattern, 'sport'>): RallyPlan {
  const name = FLIES[sport.trim().toLowerCase()] ?? 'tennis ball';
  const projectile = PROJECTILES.find((each) => each.name === name) ?? SQUASH_BALL;
  const isSquash = projectile === SQUASH_BALL;
  return {
    projectile,
    ...{ speed: isSquash ? 14 : 25, ownSpeed: isSquash ? 12 : 20, unit: 'km/h' },
    coming: isSquash
      ? { opponent: { x: 1, y: -1 }, wallForwardM: 5.5, bounceBeforeM: null, speedKept: 0.75 }
      : { opponent: { x: 0, y: 12 }, wallForwardM: null, bounceBeforeM: 2, speedKept: 0.75 },
    handlingMs: 350,
  };
}
