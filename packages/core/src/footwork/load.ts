import {
  distance,
  headed,
  heading,
  HOME,
  offset,
  otherSide,
  sideOf,
  sideSign,
  type Point,
  type Side,
  type Target,
} from '../floor/index.js';
import { shortOf, type Build, type FootPlace, type LegPlan } from '../pattern/index.js';

/** Base width at the load, as a multiple of the shoulder width. */
const LOAD_BASE = 1.5;
const LUNGE_BASE = 2.2;

/** Where the feet are at the load, and which one loads. */
export interface LoadGeometry {
  readonly outside: Side;
  /** The foot that is planted last before the load. */
  readonly lead: Side;
  readonly leadPlace: FootPlace;
  /** Where the other foot is when the lead foot lands. */
  readonly restPlace: FootPlace;
  /** Where the other foot steps in afterwards, in stances that do. */
  readonly stepIn: FootPlace | null;
}

/** A foot at a point, m, with its heading in degrees clockwise from forward. */
export const footPlace = (at: Point, headingDeg: number): FootPlace => ({ at, headingDeg });

/** Which leg is the outside one: the target's side; straight ahead or behind, the playing hand's. */
export const outsideOf = (at: Point, hand: Side): Side => sideOf(at) ?? hand;

/** The loading foot's place: at the marker, or short of it by the athlete's reach. */
function loadPoint({ at }: Target, { reachM }: Build): Point {
  const away = distance(HOME, at);
  return offset(at, headed(heading(HOME, at)), -shortOf(away, reachM));
}

/**
 * The feet at the load: the outside leg on the marker, turned and spread as the stance asks; a neutral
 * or closed lunge reaches across with the inside leg instead.
 */
export function loadGeometry(
  target: Target,
  plan: LegPlan,
  build: Build,
  hand: Side,
): LoadGeometry {
  const at = loadPoint(target, build);
  const way = heading(HOME, at);
  const outside = outsideOf(at, hand);
  const sign = sideSign(outside);
  const steppedIn = plan.load === 'neutral' || plan.load === 'closed';
  if (plan.travel === 'lunge') {
    // The lunging leg arrives last: the outside leg, or the inside leg when it reaches across.
    const lead = steppedIn ? otherSide(outside) : outside;
    const rest = offset(at, headed(way), -LUNGE_BASE * build.shoulderM);
    return {
      ...{ outside, lead, stepIn: null },
      leadPlace: footPlace(offset(at, headed(way + 90), sideSign(lead) * 0.06), way),
      restPlace: footPlace(
        offset(rest, headed(way + 90), -sideSign(lead) * 0.06),
        way - sideSign(lead) * 40,
      ),
    };
  }
  const base = LOAD_BASE * build.shoulderM;
  const lateral = { x: sign, y: 0 };
  const forward = { x: 0, y: 1 };
  const common = { outside, lead: outside };
  switch (plan.load) {
    case 'open':
      return {
        ...{ ...common, stepIn: null },
        leadPlace: footPlace(at, sign * 35),
        restPlace: footPlace(offset(at, lateral, -base), sign * 15),
      };
    case 'semi-open':
      return {
        ...{ ...common, stepIn: null },
        leadPlace: footPlace(at, sign * 55),
        restPlace: footPlace(
          offset(offset(at, lateral, -base * Math.cos(Math.PI / 4)), forward, base * Math.SQRT1_2),
          sign * 35,
        ),
      };
    case 'neutral':
    case 'closed': {
      const across = plan.load === 'closed' ? 0.5 : 0;
      const stepIn = offset(
        offset(at, forward, base * Math.sqrt(1 - across ** 2)),
        lateral,
        base * across,
      );
      return {
        ...common,
        leadPlace: footPlace(at, sign * 80),
        restPlace:
          plan.travel === 'shuffle out'
            ? footPlace(offset(at, lateral, -base), sign * 15)
            : footPlace(offset(at, headed(way), -base), sign * 60),
        stepIn: footPlace(stepIn, sign * 45),
      };
    }
  }
}
