import {
  aimedArc,
  arcOf,
  arcPlaces,
  bestHome,
  drawnFlight,
  PLAYING_LEVELS,
  PROJECTILES,
  takenAt,
  targetBudget,
  typicalSpeeds,
  type Aim,
  type ArcPlan,
  type OwnSpeed,
  type Rally,
} from '@orthokin/core/budget';
import { distance } from '@orthokin/core/floor';
import { layoutTargets } from '@orthokin/core/pattern';
import fc from 'fast-check';

const [SQUASH] = PROJECTILES;
const TENNIS = PROJECTILES[1] ?? SQUASH;
/** Heavy and small: next to no drag. */
const SHOT = { name: 'shot', massKg: 7.26, diameterM: 0.05, dragCoefficient: 0.4 };
const G = 9.80665;

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('flight with height', () => {
  const plan: ArcPlan = {
    ...{ projectile: SHOT, launchSpeed: 15, launchAngleDeg: 30, launchHeightM: 1 },
    ...{ distanceM: 10, alongKept: 0.7, upKept: 0.5, wall: null },
  };

  test('without drag it is the parabola of the schoolbook', () => {
    const of = fc.record({
      launchSpeed: number(12, 30),
      launchAngleDeg: number(5, 60),
      distanceM: number(1, 8),
    });
    fc.assert(
      fc.property(of, (given) => {
        const found = arcOf({ ...plan, ...given });
        if (!found.ok) throw new Error(found.problem.allowed);
        const angle = (given.launchAngleDeg * Math.PI) / 180;
        const timeS = given.distanceM / (given.launchSpeed * Math.cos(angle));
        const heightM = 1 + given.launchSpeed * Math.sin(angle) * timeS - (G * timeS * timeS) / 2;
        fc.pre(heightM > 0.1 && found.value.bounces.length === 0);
        expect(found.value.timeS / timeS).toBeCloseTo(1, 3);
        expect(found.value.heightM).toBeCloseTo(heightM, 1);
      }),
    );
  });

  test('a bounce keeps its shares, and a wall its own', () => {
    const dropped = { ...plan, launchAngleDeg: -45, distanceM: 3 };
    const found = arcOf(dropped);
    if (!found.ok) throw new Error(found.problem.allowed);
    expect(found.value.bounces).toHaveLength(1);
    const free = arcOf({ ...dropped, alongKept: 1, upKept: 1 });
    if (!free.ok) throw new Error(free.problem.allowed);
    expect(found.value.timeS).toBeGreaterThan(free.value.timeS);
    const walled = arcOf({ ...plan, wall: { atM: 5, speedKept: 0.5 } });
    const open = arcOf(plan);
    if (!walled.ok || !open.ok) throw new Error('refused');
    // Half the way at half the speed along takes half as long again.
    expect(walled.value.timeS / open.value.timeS).toBeCloseTo(1.5, 2);
  });

  test.each([
    ['launchSpeed', { launchSpeed: 0 }],
    ['distanceM', { distanceM: -1 }],
    ['launchHeightM', { launchHeightM: -0.1 }],
    ['launchHeightM', { launchHeightM: NaN }],
    ['upKept', { upKept: 0 }],
    ['alongKept', { alongKept: 1.1 }],
    ['massKg', { projectile: { ...SHOT, massKg: 0 } }],
    ['launchAngleDeg', { launchAngleDeg: 90 }],
    ['distanceM', { distanceM: 4000 }],
  ] as const)('%s that cannot be is named', (field, change) => {
    expect(arcOf({ ...plan, ...change })).toMatchObject({ ok: false, problem: { field } });
  });

  test('its places run along the line to its end, a tenth of a second apart', () => {
    const found = arcOf(plan);
    if (!found.ok) throw new Error(found.problem.allowed);
    const { line, each } = arcPlaces(plan, 0.1);
    expect(each).toHaveLength(Math.ceil(found.value.timeS / 0.1) - 1);
    expect(line.at(-1)?.atM).toBeCloseTo(10, 6);
    expect(line.at(-1)?.heightM).toBeCloseTo(found.value.heightM, 9);
    expect(each.every(({ atM }, i) => atM > (each[i - 1]?.atM ?? 0))).toBe(true);
    expect(arcPlaces({ ...plan, launchSpeed: 0 }, 0.1).line).toEqual([]);
  });
});

describe('an arc that meets a place', () => {
  const aim: Aim = {
    ...{ projectile: TENNIS, launchSpeed: 22, launchHeightM: 1, distanceM: 18 },
    ...{ takenM: 1, bounceBeforeM: 3, isLobbed: false, alongKept: 0.7, upKept: 0.75, wall: null },
  };

  test('bounces where it was to, or is as high as it was to be; the lob takes longer', () => {
    const of = fc.record({
      launchSpeed: number(18, 40),
      launchHeightM: number(0.3, 2.8),
      distanceM: number(6, 22),
      isLobbed: fc.boolean(),
      bounceBeforeM: fc.oneof(fc.constant(null), number(0.5, 4)),
    });
    let met = 0;
    fc.assert(
      fc.property(of, (given) => {
        const found = aimedArc({ ...aim, ...given });
        if (!found.ok) return;
        met++;
        const { bounces, heightM, timeS } = found.value;
        if (given.bounceBeforeM === null) expect(heightM).toBeCloseTo(1, 3);
        else expect(bounces[0]?.atM).toBeCloseTo(given.distanceM - given.bounceBeforeM, 3);
        const flat = aimedArc({ ...aim, ...given, isLobbed: false });
        if (flat.ok) expect(timeS).toBeGreaterThanOrEqual(flat.value.timeS - 1e-9);
      }),
    );
    expect(met).toBeGreaterThan(40);
  });

  test('too slow, a bounce behind the opponent, and one bounce too many are told', () => {
    expect(aimedArc({ ...aim, launchSpeed: 5 })).toMatchObject({
      problem: { field: 'launchSpeed' },
    });
    expect(aimedArc({ ...aim, bounceBeforeM: 18 })).toMatchObject({
      problem: { field: 'bounceBeforeM' },
    });
    expect(aimedArc({ ...aim, bounceBeforeM: 12, upKept: 0.2 })).toMatchObject({
      problem: { field: 'bounces' },
    });
    expect(aimedArc({ ...aim, upKept: 0 })).toMatchObject({ problem: { field: 'upKept' } });
  });
});

const targets = layoutTargets('star', 3);
const own = (topSpeed: number): OwnSpeed => ({
  ...{ reactionMs: 250, n: 20 },
  travel: { acceleration: 8, topSpeed, n: 20, rss: 0, residualSdS: 0.03 },
});
const rally: Rally = {
  ...{ projectile: TENNIS, speed: 20, ownSpeed: 20, handlingMs: 300 },
  coming: { opponent: { x: 0, y: 12 }, wallForwardM: null, bounceBeforeM: 2, speedKept: 0.7 },
};
const lift = { struckM: 1, takenM: 1, isLobbed: false, alongKept: 0.7, upKept: 0.75 };

describe('a rally with height, and places of its own', () => {
  test('a lob leaves more time than a flat ball, and both say how high', () => {
    for (const target of targets) {
      const flat = targetBudget(target, { ...rally, lift }, own(4));
      const lob = targetBudget(target, { ...rally, lift: { ...lift, isLobbed: true } }, own(4));
      if (!flat.flight.ok || !lob.flight.ok) throw new Error('refused');
      expect(lob.flight.value.timeS).toBeGreaterThan(flat.flight.value.timeS);
      expect(lob.arc?.highestM).toBeGreaterThan(flat.arc?.highestM ?? Infinity);
      expect(lob.feasible?.spareMs).toBeGreaterThan(flat.feasible?.spareMs ?? Infinity);
    }
    const [target] = targets;
    if (!target) throw new Error('no target');
    const slow = targetBudget(target, { ...rally, lift, speed: 3 }, own(4));
    expect(slow).toMatchObject({ arc: null, feasible: null, flight: { ok: false } });
  });

  test('a target has its own place and its own bounce; where the athlete waits counts', () => {
    const [a, b] = targets;
    if (!a || !b) throw new Error('no target');
    const moved = { x: a.at.x + 1, y: a.at.y };
    const settled: Rally = {
      ...{ ...rally, lift, waitsAt: { x: 0, y: -1 } },
      taken: { [a.letter]: { at: moved, bounceBeforeM: null } },
    };
    expect(takenAt(settled, a)).toEqual(moved);
    const first = targetBudget(a, settled, null);
    expect(first.distanceM).toBeCloseTo(distance({ x: 0, y: -1 }, moved), 9);
    expect(first.arc?.bounces).toHaveLength(0);
    expect(targetBudget(b, settled, null).arc?.bounces).toHaveLength(1);
    expect(drawnFlight(a, settled, 0.1).bounceAt).toBeNull();
    const drawn = drawnFlight(b, settled, 0.1);
    expect(distance(drawn.bounceAt ?? moved, b.at)).toBeCloseTo(2, 9);
    expect(drawn.side?.each).toHaveLength(drawn.above.length);
  });
});

describe('the best place to wait', () => {
  test('is nowhere beaten, and never worse than where they wait now', () => {
    const place = fc.record({ x: number(-4, 4), y: number(-4, 4) });
    fc.assert(
      fc.property(
        fc.array(place, { minLength: 2, maxLength: 6 }),
        place,
        number(2, 6),
        (places, elsewhere, topSpeed) => {
          const some = places.map((at, i) => ({ letter: 'ABCDEF'[i] ?? '', name: '', at }));
          const found = bestHome(some, rally, own(topSpeed));
          if (!found) throw new Error('no home');
          const from = bestHome(some, { ...rally, waitsAt: elsewhere }, own(topSpeed));
          // Marked to ten centimetres: as far as that takes at a walk.
          expect(found.spareMs).toBeGreaterThan((from?.nowSpareMs ?? Infinity) - 120);
          expect(from?.at).toEqual(found.at);
        },
      ),
      { numRuns: 40 },
    );
  });

  test('lies in the middle of two targets with as much time, and is nowhere without a flight', () => {
    const two = [-3, 3].map((x) => ({ letter: x < 0 ? 'A' : 'B', name: '', at: { x, y: 0 } }));
    const found = bestHome(two, rally, own(4));
    expect(found?.at.x).toBeCloseTo(0, 9);
    expect(found?.at.y).toBeCloseTo(0, 9);
    expect(bestHome(two, { ...rally, speed: 0 }, own(4))).toBeNull();
    expect(bestHome([], rally, own(4))).toBeNull();
  });
});

describe('typical speeds', () => {
  test('each thing that flies has one for each level, quicker the better they play', () => {
    for (const { name } of PROJECTILES) {
      const speeds = typicalSpeeds(name).map(({ speed }) => speed);
      expect(speeds).toHaveLength(PLAYING_LEVELS.length);
      expect([...speeds].sort((a, b) => a - b)).toEqual(speeds);
    }
    expect(typicalSpeeds('frisbee')).toEqual([]);
  });
});
