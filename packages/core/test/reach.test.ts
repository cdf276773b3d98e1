import {
  cornersOf,
  distanceReached,
  drawnFlight,
  flightOf,
  flownMetres,
  placeAlong,
  PROJECTILES,
  reachRings,
  tightestBudget,
  travelTime,
  wayTo,
  type FlightPlan,
  type TargetBudget,
} from '@orthokin/core/budget';
import { distance } from '@orthokin/core/floor';
import fc from 'fast-check';

const model = fc.record({
  acceleration: fc.double({ min: 1, max: 30, noNaN: true }),
  topSpeed: fc.double({ min: 1, max: 12, noNaN: true }),
});
const metres = fc.double({ min: 0.01, max: 60, noNaN: true });
const place = fc.record({
  x: fc.double({ min: -20, max: 20, noNaN: true }),
  y: fc.double({ min: -20, max: 20, noNaN: true }),
});

describe('how far somebody gets', () => {
  test('is the way that takes just as long', () => {
    fc.assert(
      fc.property(metres, model, (far, own) => {
        expect(distanceReached(travelTime(far, own), own)).toBeCloseTo(far, 6);
      }),
    );
    expect(distanceReached(0, { acceleration: 5, topSpeed: 8 })).toBe(0);
    expect(distanceReached(-1, { acceleration: 5, topSpeed: 8 })).toBe(0);
  });
});

describe('what is drawn of it', () => {
  const own = {
    ...{ reactionMs: 300, n: 12 },
    travel: { acceleration: 9, topSpeed: 5, n: 12, rss: 0, residualSdS: 0.05 },
  };

  test('rings grow with time, and those beyond what was timed are guesses', () => {
    const rings = reachRings(own, 4);
    expect(rings.length).toBeGreaterThan(2);
    for (const [i, { atS, radiusM, isGuess }] of rings.entries()) {
      expect(travelTime(radiusM, own.travel)).toBeCloseTo(atS - 0.3, 9);
      expect(isGuess).toBe(radiusM > 4);
      if (i > 0) expect(radiusM).toBeGreaterThan(rings[i - 1]?.radiusM ?? Infinity);
    }
  });

  test('places of a flight lie a tenth of a second apart, as far as it flies by then', () => {
    const coming = {
      opponent: { x: 0, y: 9 },
      wallForwardM: null,
      bounceBeforeM: null,
      speedKept: 1,
    };
    const rally = {
      ...{ projectile: PROJECTILES[0], speed: 14, ownSpeed: 12, coming, handlingMs: 300 },
    };
    const at = { x: 2, y: 1 };
    const plan = { projectile: PROJECTILES[0], launchSpeed: 14, ...wayTo(at, coming) };
    const { above, bounceAt, side } = drawnFlight({ letter: 'A', at }, rally, 0.1);
    expect(above.length).toBeGreaterThan(4);
    expect([bounceAt, side]).toEqual([null, null]);
    for (const [i, place] of above.entries())
      expect(distance(coming.opponent, place)).toBeCloseTo(flownMetres(plan, 0.1 * (i + 1)), 9);
  });

  test('the tightest budget is that with least to spare, else with least time', () => {
    const of = (letter: string, timeS: number, spareMs: number | null): TargetBudget =>
      ({
        letter,
        flight: { ok: true, value: { timeS } },
        feasible: spareMs === null ? null : { spareMs },
      }) as unknown as TargetBudget;
    const none = { letter: 'Z', flight: { ok: false } } as unknown as TargetBudget;
    expect(tightestBudget([of('A', 0.9, null), of('B', 0.7, null), none])?.letter).toBe('B');
    expect(tightestBudget([of('A', 0.9, -100), of('B', 0.7, 50), none])?.letter).toBe('A');
    expect(tightestBudget([none])).toBeNull();
  });
});

describe('where it is on its way', () => {
  const plan = fc.record({
    projectile: fc.constantFrom(...PROJECTILES),
    launchSpeed: fc.double({ min: 3, max: 60, noNaN: true }),
    distanceM: fc.double({ min: 1, max: 40, noNaN: true }),
    share: fc.double({ min: 0.1, max: 0.9, noNaN: true }),
    bounces: fc.boolean(),
  });
  const flightPlan = ({
    share,
    bounces,
    ...rest
  }: { share: number; bounces: boolean; distanceM: number } & Omit<
    FlightPlan,
    'bounce'
  >): FlightPlan => ({
    ...rest,
    bounce: bounces ? { atM: share * rest.distanceM, speedKept: 0.6 } : null,
  });

  test('agrees with the time of the whole flight, and never runs back', () => {
    fc.assert(
      fc.property(plan, (given) => {
        const flight = flightPlan(given);
        const found = flightOf(flight);
        if (!found.ok) throw new Error(found.problem.field);
        const { timeS } = found.value;
        expect(flownMetres(flight, timeS)).toBeCloseTo(flight.distanceM, 6);
        expect(flownMetres(flight, 2 * timeS)).toBe(flight.distanceM);
        expect(flownMetres(flight, 0)).toBe(0);
        let before = 0;
        for (let i = 1; i <= 20; i++) {
          const now = flownMetres(flight, (timeS * i) / 20);
          expect(now).toBeGreaterThan(before);
          before = now;
        }
      }),
    );
  });

  test('its corners are as far as the way, with the bounce at the wall', () => {
    fc.assert(
      fc.property(
        place,
        place,
        fc.double({ min: 21, max: 40, noNaN: true }),
        (opponent, target, wallForwardM) => {
          const coming = { opponent, wallForwardM, bounceBeforeM: null, speedKept: 0.75 };
          const [from, wall, to] = cornersOf(target, coming);
          if (!from || !wall || !to) throw new Error('three corners');
          const { distanceM, bounce } = wayTo(target, coming);
          expect(distance(from, wall) + distance(wall, to)).toBeCloseTo(distanceM, 6);
          expect(distance(from, wall)).toBeCloseTo(bounce?.atM ?? NaN, 6);
          expect(wall.y).toBe(wallForwardM);
        },
      ),
    );
  });

  test('a place along corners is on them, and the last one beyond their end', () => {
    const corners = [
      { x: 0, y: 0 },
      { x: 3, y: 4 },
      { x: 3, y: 0 },
    ];
    expect(placeAlong(corners, 2.5)).toEqual({ x: 1.5, y: 2 });
    expect(placeAlong(corners, 6)).toEqual({ x: 3, y: 3 });
    expect(placeAlong(corners, 99)).toEqual({ x: 3, y: 0 });
    expect(placeAlong([], 1)).toEqual({ x: 0, y: 0 });
    const straight = {
      opponent: { x: 0, y: 9 },
      wallForwardM: null,
      bounceBeforeM: 2,
      speedKept: 0.7,
    };
    expect(cornersOf({ x: 1, y: 1 }, straight)).toEqual([
      { x: 0, y: 9 },
      { x: 1, y: 1 },
    ]);
  });
});
