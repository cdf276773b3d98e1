import fc from 'fast-check';
import { layoutTargets, shortOf } from '@orthokin/core/pattern';
import {
  budgetSource,
  feasibility,
  flightOf,
  fromMetresPerSecond,
  limitFrom,
  lineLimits,
  ownFeasibility,
  ownWay,
  ownSpeedOf,
  PROJECTILES,
  recordOf,
  recoveryBudget,
  SPEED_UNITS,
  stanceFor,
  targetBudget,
  toMetresPerSecond,
  travelTime,
  wayTo,
  type FlightPlan,
  type Rally,
  type SpeedUnit,
} from '@orthokin/core/budget';

const anyFlight = fc
  .record({
    projectile: fc.constantFrom(...PROJECTILES),
    launchSpeed: fc.double({ min: 3, max: 70, noNaN: true }),
    distanceM: fc.double({ min: 1, max: 40, noNaN: true }),
  })
  .map((plan): FlightPlan => ({ ...plan, bounce: null }));

const timeOf = (plan: FlightPlan): number => {
  const flight = flightOf(plan);
  if (!flight.ok) throw new Error(flight.problem.field);
  return flight.value.timeS;
};

describe('a flight', () => {
  test('always takes longer than distance over speed says, and longer the farther', () => {
    fc.assert(
      fc.property(anyFlight, (plan) => {
        expect(timeOf(plan)).toBeGreaterThan(plan.distanceM / plan.launchSpeed);
        expect(timeOf({ ...plan, distanceM: plan.distanceM + 1 })).toBeGreaterThan(timeOf(plan));
      }),
    );
  });

  test('a bounce that keeps all speed changes nothing; one that loses some takes longer', () => {
    fc.assert(
      fc.property(anyFlight, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (plan, share) => {
        const atM = share * plan.distanceM;
        const kept = timeOf({ ...plan, bounce: { atM, speedKept: 1 } });
        expect(kept / timeOf(plan)).toBeCloseTo(1, 9);
        expect(timeOf({ ...plan, bounce: { atM, speedKept: 0.6 } })).toBeGreaterThan(kept);
      }),
    );
  });

  test.each<[Partial<FlightPlan>, string]>([
    [{ launchSpeed: 0 }, 'launchSpeed'],
    [{ distanceM: -1 }, 'distanceM'],
    [{ distanceM: Infinity }, 'distanceM'],
    [{ airDensity: 0 }, 'airDensity'],
    [{ bounce: { atM: 12, speedKept: 0.7 } }, 'bounce.atM'],
    [{ bounce: { atM: 5, speedKept: 0 } }, 'bounce.speedKept'],
  ])('%j is refused by name', (change, field) => {
    const [projectile] = PROJECTILES as [FlightPlan['projectile']];
    const plan = { projectile, launchSpeed: 30, distanceM: 10, bounce: null };
    expect(flightOf({ ...plan, ...change })).toMatchObject({ ok: false, problem: { field } });
  });

  test('speeds go from one unit to another and back', () => {
    const units = Object.keys(SPEED_UNITS) as SpeedUnit[];
    expect(toMetresPerSecond(36, 'km/h')).toBeCloseTo(10, 12);
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 300, noNaN: true }), (speed) => {
        for (const unit of units)
          expect(fromMetresPerSecond(toMetresPerSecond(speed, unit), unit)).toBeCloseTo(speed, 9);
      }),
    );
  });
});

describe('the way it flies', () => {
  const straight = {
    opponent: { x: 0, y: 10 },
    wallForwardM: null,
    bounceBeforeM: null,
    speedKept: 0.7,
  };

  test('straight, with the bounce as far before contact as was said', () => {
    expect(wayTo({ x: 3, y: 6 }, straight)).toEqual({
      ...{ distanceM: 5, wallAtM: null, bounce: null },
    });
    expect(wayTo({ x: 3, y: 6 }, { ...straight, bounceBeforeM: 1 })).toEqual({
      ...{ distanceM: 5, wallAtM: null },
      bounce: { atM: 4, speedKept: 0.7 },
    });
  });

  test('off a wall it comes in as it goes out', () => {
    const offWall = { ...straight, opponent: { x: 0, y: 0 }, wallForwardM: 4 };
    const { distanceM, bounce } = wayTo({ x: 6, y: 0 }, offWall);
    expect(distanceM).toBeCloseTo(10, 12);
    expect(bounce?.atM).toBeCloseTo(5, 12);
  });
});

describe('time there is', () => {
  test('the stance follows from what is to spare', () => {
    expect([100, 150, 250, 350, 400].map((ms) => stanceFor(ms))).toEqual([
      ...['open', 'semi-open', 'semi-open', 'semi-open', 'stepped in'],
    ]);
    expect(stanceFor(100, { openBelowMs: 50, stepInAboveMs: 90 })).toBe('stepped in');
  });

  test('a target is in reach, out of it, or too near to tell from the scatter of single ways', () => {
    const athlete = {
      reactionMs: 250,
      travel: { acceleration: 8, topSpeed: 4 },
      scatterMs: 40,
    };
    // 2 m: 2·√(2/8) = 1 s.
    expect(feasibility(1600, 2, athlete)).toMatchObject({
      needsMs: 1250,
      spareMs: 350,
      verdict: 'yes',
    });
    expect(feasibility(1300, 2, athlete)).toMatchObject({ verdict: 'only just', stance: 'open' });
    expect(feasibility(1100, 2, athlete)).toMatchObject({ spareMs: -150, verdict: 'no' });
  });

  test('recovery: the own object’s flight and the handling of it', () => {
    const [projectile] = PROJECTILES as [FlightPlan['projectile']];
    const plan = { projectile, launchSpeed: 20, distanceM: 10, bounce: null };
    const budget = recoveryBudget(flightOf(plan), 300);
    if (!budget.ok) throw new Error(budget.problem.field);
    expect(budget.value.totalMs).toBeCloseTo(1000 * timeOf(plan) + 300, 9);
    expect(recoveryBudget(flightOf(plan), -1)).toMatchObject({ problem: { field: 'handlingMs' } });
  });
});

describe('a limit keeps where it comes from', () => {
  test('budgets, records and reckoned ways give it to the hundredth; the coach as it was said', () => {
    expect(limitFrom({ kind: 'budget', budgetMs: 913, factor: 1.1, flight: '' })).toBe(1000);
    expect(limitFrom({ kind: 'reckoned', reckonedMs: 913, factor: 1, how: '' })).toBe(910);
    expect(limitFrom({ kind: 'coach' }, 905)).toBe(905);
  });

  test('the best quartile of one’s own is no longer than the median', () => {
    const own = [900, 950, 1000, 1050, 1100, 1150, 1200, 1250, 1300];
    const best = recordOf(own, 'best quartile', 1);
    const middle = recordOf(own, 'median', 0.95);
    if (!best.ok || !middle.ok) throw new Error('refused');
    expect(best.value).toMatchObject({ recordMs: 1000, n: 9 });
    expect(limitFrom(middle.value)).toBe(1050);
    expect(recordOf(own.slice(0, 3), 'median', 1)).toMatchObject({ problem: { field: 'reps' } });
    expect(recordOf(own, 'median', 0)).toMatchObject({ problem: { field: 'factor' } });
  });
});

describe('a rung’s limit from budgets', () => {
  const rally: Rally = {
    ...{ projectile: PROJECTILES[0], speed: 12, ownSpeed: 10, handlingMs: 300 },
    coming: { opponent: { x: 0, y: 9 }, wallForwardM: null, bounceBeforeM: null, speedKept: 1 },
  };
  const targets = layoutTargets('cross', 3);
  const budgets = targets.map((target) => targetBudget(target, rally, null));
  const words = ({ letter }: { letter: string }) => `to ${letter}`;

  test('is that of the target in play that leaves least time, by the rung’s own share', () => {
    const times = budgets.map(({ letter, flight }) => ({
      letter,
      ms: flight.ok ? 1000 * flight.value.timeS : Infinity,
    }));
    const least = times.reduce((a, b) => (b.ms < a.ms ? b : a));
    const rung = { targets: targets.map(({ letter }) => letter), timeFactor: 1.1 };
    expect(budgetSource(rung, 'response', budgets, words)).toEqual({
      ...{ kind: 'budget', factor: 1.1, budgetMs: Math.round(least.ms) },
      flight: `to ${least.letter}`,
    });
    const others = rung.targets.filter((letter) => letter !== least.letter);
    const without = budgetSource({ ...rung, targets: others }, 'response', budgets, words);
    expect(without?.kind === 'budget' && without.budgetMs).toBeGreaterThanOrEqual(
      Math.round(least.ms),
    );
  });

  test('recovery counts the way back and the handling; a flight that cannot be gives none', () => {
    const rung = { targets: ['A'], timeFactor: 1 };
    const [a] = budgets;
    const source = budgetSource(rung, 'recovery', budgets, words);
    expect(source).toMatchObject({
      budgetMs: Math.round(a?.recovery.ok ? a.recovery.value.totalMs : NaN),
    });
    const still = targets.map((target) => targetBudget(target, { ...rally, speed: 0 }, null));
    expect(budgetSource(rung, 'response', still, words)).toBeNull();
    expect(budgetSource({ ...rung, targets: [] }, 'recovery', budgets, words)).toBeNull();
  });

  test('an own speed says what is in reach; without one nothing is said of it', () => {
    const travel = { acceleration: 10, topSpeed: 5, n: 20, rss: 0, residualSdS: 0.02 };
    const [target] = targets;
    if (!target) throw new Error('no target');
    const own = targetBudget(target, rally, { reactionMs: 250, travel, n: 20 });
    expect(own.feasible?.needsMs).toBeGreaterThan(250);
    expect(budgets[0]?.feasible).toBeNull();
  });
});

describe('reach', () => {
  const speed = { acceleration: 8, topSpeed: 4, n: 20, rss: 0, residualSdS: 0.02 };
  const own = { reactionMs: 250, travel: speed, n: 20 };

  test('a way is shorter by it, and never by more than half', () => {
    expect([shortOf(3, 0.8), shortOf(1, 0.8), shortOf(3, 0)]).toEqual([0.8, 0.5, 0]);
    const needs = (reachM: number, awayM: number) =>
      ownFeasibility({ ...own, reachM }, 1000, awayM).needsMs;
    expect(needs(0.8, 3)).toBe(needs(0, 2.2));
    expect(needs(0.8, 1)).toBe(needs(0, 0.5));
    // The way that is said is the one that was reckoned with.
    expect([ownWay({ reachM: 0.8 }, 3), ownWay(null, 3), ownWay({}, 3)]).toEqual([2.2, 3, 3]);
  });

  test('where markers are contact points the ways of the drill were shorter too', () => {
    const targets = [1, 2, 3, 4].map((x, i) => ({
      ...layoutTargets('star', 4)[i],
      at: { x, y: 0 },
    }));
    const away = [1, 2, 3, 4];
    const drillReachM = 0.5;
    const letters = targets.map(({ letter = '' }) => letter);
    const timed = away.map((x) => 1000 * travelTime(x - shortOf(x, drillReachM), speed));
    const ways = {
      target: [...letters, ...letters],
      reaction: [...away, ...away].map(() => 250),
      travel: [...timed, ...timed],
    };
    const pattern = { targets } as Parameters<typeof ownSpeedOf>[1];
    const fit = ownSpeedOf(ways, pattern, { reachM: 0.5, drillReachM });
    if (!fit.ok) throw new Error(fit.problem.allowed);
    expect(fit.value.travel.acceleration).toBeCloseTo(8, 1);
    expect(fit.value.travel.topSpeed).toBeCloseTo(4, 1);
    // Limits of the drill give back what was timed, whatever is taken from farther in a match.
    const rung = { targets: letters, floorScale: 1 };
    for (const reachM of [0.5, 1.2])
      lineLimits(rung, pattern, { ...fit.value, reachM }, 1).forEach(({ limitMs }, i) =>
        // A limit is a whole hundredth of a second.
        expect(Math.abs(limitMs - 250 - (timed[i] ?? NaN))).toBeLessThan(5.1),
      );
  });
});
