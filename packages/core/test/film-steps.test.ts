import { normal, seededRandom } from '@orthokin/core/cue';
import {
  filmedSteps,
  groundOf,
  legOnFilm,
  seenBy,
  USUAL_CAMERA,
  type FootClick,
  type StepReading,
} from '@orthokin/core/film';
import { distance, HOME, offset, headed, type Point } from '@orthokin/core/floor';
import { blankPattern, layLeg, legFigures } from '@orthokin/core/footwork';
import {
  layoutTargets,
  legOf,
  targetOf,
  withLeg,
  type Leg,
  type Pattern,
} from '@orthokin/core/pattern';

const WIDTH_PX = 1280;
const FRAME_MS = 1000 / 60;
const CUE_MS = 2000;
const FOOT_M = 0.14;

const bare: Pattern = {
  ...blankPattern('Star'),
  court: 'squash',
  sizeM: null,
  home: { onCourt: { x: 0, y: 4.26 }, radiusM: 0.45 },
  targets: layoutTargets('star', 2.5),
};
const plan = (letter: string): Leg => {
  const target = targetOf(bare, letter);
  if (!target) throw new Error('no such target');
  return layLeg(bare, target, {
    ...{ target: letter, intent: 'attack', travel: 'crossover out', load: 'open' },
    ...{ recover: 'turn and run', quicken: false },
  });
};

const inPx = (at: Point): Point => {
  const { x, y } = seenBy(USUAL_CAMERA, at);
  return { x: WIDTH_PX * (0.5 + x), y: WIDTH_PX * (0.28 + y) };
};

/** Clicks are made as surely as this, px. */
const reading = (clickSdPx: number, random: () => number): StepReading => {
  const noisy = (at: Point): Point => ({
    x: at.x + normal(random, 0, clickSdPx),
    y: at.y + normal(random, 0, clickSdPx),
  });
  const places = [...bare.targets.map(({ at }) => at), HOME];
  const ground = groundOf(
    places.map((floor) => ({ floor, image: noisy(inPx(floor)) })),
    Math.max(0.5, clickSdPx),
  );
  if (!ground.ok) throw new Error(ground.problem.allowed);
  const framesMs = Array.from({ length: 600 }, (_, i) => i * FRAME_MS);
  return {
    ...{ ground: ground.value, framesMs, cueMs: CUE_MS },
    alignment: { offsetMs: 0, rate: 1, sdMs: 1, heard: new Map(), strays: [] },
  };
};

const clicksOf = (leg: Leg, clickSdPx: number, random: () => number): FootClick[] =>
  leg.placements.map(({ foot, at, headingDeg, atMs }) => ({
    frame: Math.ceil((CUE_MS + atMs) / FRAME_MS),
    foot,
    at: {
      x: inPx(at).x + normal(random, 0, clickSdPx),
      y: inPx(at).y + normal(random, 0, clickSdPx),
    },
    toe: inPx(offset(at, headed(headingDeg), FOOT_M)),
  }));

const eventsOf = ({ firstMoveMs, actionMs, departureMs, placements }: Leg) => {
  const arrival = placements.find(({ phase }) => phase === 'load')?.atMs ?? NaN;
  return Object.entries({
    cue: 0,
    firstMove: firstMoveMs,
    arrival,
    action: actionMs,
    departure: departureMs,
  }).map(([name, ms]) => ({
    ...{ name: name as 'cue', atMs: CUE_MS + ms, sdMs: 5, source: 'film' as const },
  }));
};

describe('a rep’s steps on film', () => {
  const letters = bare.targets.map(({ letter }) => letter);

  test.each(letters)('to %s give the pattern back: feet, times, phases', (letter) => {
    const leg = plan(letter);
    const random = seededRandom(4);
    const steps = filmedSteps(clicksOf(leg, 0, random), reading(0, random));
    const read = legOnFilm(steps, bare, letter, eventsOf(leg));
    if (!read.ok) throw new Error(read.problem.allowed);
    expect(read.value.placements).toHaveLength(leg.placements.length);
    for (const [i, { at, foot, atMs, phase, headingDeg }] of read.value.placements.entries()) {
      const truth = leg.placements[i];
      if (!truth) throw new Error('no such step');
      expect(distance(at, truth.at)).toBeLessThan(0.05);
      expect(Math.abs(atMs - truth.atMs)).toBeLessThanOrEqual(FRAME_MS + 1);
      expect([foot, phase]).toEqual([truth.foot, truth.phase]);
      expect(Math.abs(((headingDeg - truth.headingDeg + 540) % 360) - 180)).toBeLessThan(4);
    }
    const [own, planned] = [read.value, leg].map((each) =>
      legFigures(withLeg(bare, each), legOf(withLeg(bare, each), letter) ?? each),
    );
    expect(own?.out.steps).toBe(planned?.out.steps);
    expect(own?.out.pathM).toBeCloseTo(planned?.out.pathM ?? NaN, 1);
  });

  test('clicks that tremble leave each foot within what is said of it', () => {
    let [within, all] = [0, 0];
    for (let seed = 1; seed <= 40; seed++) {
      const random = seededRandom(seed);
      const leg = plan('A');
      const steps = filmedSteps(clicksOf(leg, 2, random), reading(2, random));
      for (const { at } of steps) {
        const nearest = Math.min(...leg.placements.map((each) => distance(each.at, at)));
        all++;
        if (nearest <= 2.5 * Math.hypot(at.sdX, at.sdY)) within++;
      }
    }
    expect(within / all).toBeGreaterThan(0.95);
  });

  test('without marks the load is the step nearest the target, without toes the plan says the heading', () => {
    const leg = plan('C');
    const random = seededRandom(2);
    const clicks = clicksOf(leg, 0, random).map(({ toe: _, ...click }) => click);
    const steps = filmedSteps(clicks, reading(0, random));
    const read = legOnFilm(steps, withLeg(bare, leg), 'C');
    if (!read.ok) throw new Error(read.problem.allowed);
    const loaded = read.value.placements.findIndex(({ phase }) => phase === 'load');
    const target = bare.targets.find(({ letter }) => letter === 'C')?.at ?? HOME;
    for (const { at } of read.value.placements)
      expect(distance(read.value.placements[loaded]?.at ?? HOME, target)).toBeLessThanOrEqual(
        distance(at, target) + 1e-9,
      );
    expect(read.value.notes).toEqual(leg.notes);
    expect(read.value.placements[loaded]?.headingDeg).toBe(
      leg.placements.find(({ phase }) => phase === 'load')?.headingDeg,
    );
  });

  test('a foot that lands across the other is a crossover, one that swings aside a shuffle', () => {
    const place = (x: number, y: number) => ({ x, y, sdX: 0.01, sdY: 0.01, covariance: 0 });
    const step = (foot: 'left' | 'right', atMs: number, x: number, y: number) => ({
      ...{ foot, atMs, sdMs: 5, at: place(x, y), headingDeg: 0 },
    });
    const to = { ...bare, targets: [{ ...bare.targets[0], letter: 'A', at: { x: 2.4, y: 0 } }] };
    const read = legOnFilm(
      [step('right', 400, 0.8, 0), step('left', 600, 1.2, 0), step('right', 800, 2.2, 0)],
      to as Pattern,
      'A',
    );
    if (!read.ok) throw new Error(read.problem.allowed);
    expect(read.value.placements.map(({ kind }) => kind)).toEqual([
      'shuffle',
      'crossover',
      'plant',
    ]);
  });

  test('too few feet, and a target that is not there, are told', () => {
    expect(legOnFilm([], bare, 'A')).toMatchObject({ problem: { field: 'steps' } });
    expect(legOnFilm([], bare, 'Z')).toMatchObject({ problem: { field: 'target' } });
  });
});
