import fc from 'fast-check';
import { normal, seededRandom } from '@orthokin/core/cue';
import {
  alignCues,
  filmedReps,
  frameAt,
  groundOf,
  markAt,
  onFloor,
  onSetClock,
  handSway,
  HIGH_CAMERA,
  LOW_CAMERA,
  seenBy,
  USUAL_CAMERA,
  whereAt,
} from '@orthokin/core/film';
import { layoutTargets } from '@orthokin/core/pattern';
import { HOME } from '@orthokin/core/floor';
import { eventOf, type EventName } from '@orthokin/core/timing';

const targets = layoutTargets('star', 3);
const CUES = Array.from({ length: 12 }, (_, i) => ({
  ...{ ordinal: i + 1, target: targets[(5 * i) % targets.length]?.letter ?? 'A' },
  atMs: 2500 + 4700 * i + ((137 * i * i) % 900),
}));
const film = (seed: number) => filmedReps({ seed, targets, cues: CUES });
const MARKED: readonly EventName[] = ['splitLanding', 'firstMove', 'arrival', 'action', 'home'];

describe('the simulated athlete on film', () => {
  test('does the same on the same seed, and is home between reps, at the target in the load', () => {
    expect(film(3)).toEqual(film(3));
    expect(film(3)).not.toEqual(film(4));
    const reps = film(3);
    expect(whereAt(reps, 0)).toEqual(HOME);
    for (const { at, events } of reps) {
      const of = (name: EventName) => eventOf(events, name)?.atMs ?? NaN;
      expect(whereAt(reps, of('cue'))).toEqual(HOME);
      const load = whereAt(reps, (of('arrival') + of('departure')) / 2);
      expect(Math.hypot(load.x - at.x, load.y - at.y)).toBeLessThan(0.01);
      const home = whereAt(reps, of('home') + 50);
      expect(Math.hypot(home.x, home.y)).toBeLessThan(0.01);
    }
  });

  test('never jumps: from frame to frame the way is what legs can do', () => {
    const reps = film(8);
    let before = whereAt(reps, 0);
    for (let ms = 0; ms < 60_000; ms += 1000 / 60) {
      const now = whereAt(reps, ms);
      expect(Math.hypot(now.x - before.x, now.y - before.y)).toBeLessThan(0.15);
      before = now;
    }
  });
});

describe.each([
  [30, 1],
  [60, 1],
  [120, 1],
  [240, 8],
])('filmed at %i frames a second, stored %i times slower', (framesPerS, slowed) => {
  test('events marked at the right frames come within a frame, and within what is said of them', () => {
    let [inside, all] = [0, 0];
    for (const seed of [1, 2, 3, 4, 5]) {
      const random = seededRandom(100 * seed + framesPerS);
      const startMs = 400 * random();
      const framesMs = Array.from(
        { length: Math.ceil((62 * framesPerS * 1000) / 1000) },
        (_, i) => (i * 1000 * slowed) / framesPerS,
      );
      const heard = CUES.map(
        ({ atMs }) => (atMs - startMs) * slowed + slowed * normal(random, 0, 1),
      );
      const found = alignCues(
        CUES.map(({ atMs }) => atMs),
        heard,
      );
      if (!found.ok) throw new Error(found.problem.given);
      const { value: alignment } = found;
      for (const { events } of film(seed))
        for (const name of MARKED) {
          const truth = eventOf(events, name)?.atMs ?? NaN;
          // The first frame that shows it; an eye sees that one, and no other.
          const frame = frameAt(framesMs, (truth - startMs) * slowed) + 1;
          const mark = markAt(framesMs, frame, alignment.rate);
          const off = Math.abs(onSetClock(alignment, mark.recordingMs) - truth);
          all++;
          if (off <= 1000 / framesPerS && off <= 1.96 * Math.hypot(mark.sdMs, alignment.sdMs))
            inside++;
        }
    }
    expect(all).toBe(5 * 12 * MARKED.length);
    expect(inside / all).toBeGreaterThanOrEqual(0.95);
  });
});

test('whatever the camera, four markers give the floor back', () => {
  fc.assert(
    fc.property(
      fc.record({
        behindM: fc.double({ min: 5.5, max: 14, noNaN: true }),
        heightM: fc.double({ min: 1.2, max: 6, noNaN: true }),
        downDeg: fc.double({ min: 4, max: 40, noNaN: true }),
        focal: fc.double({ min: 0.5, max: 2, noNaN: true }),
      }),
      fc.double({ min: -2.5, max: 2.5, noNaN: true }),
      fc.double({ min: -2.5, max: 2.5, noNaN: true }),
      (camera, x, y) => {
        const picture = (place: { x: number; y: number }) => {
          const seen = seenBy(camera, place);
          return { x: 1920 * seen.x, y: 1920 * seen.y };
        };
        const ground = groundOf(
          targets.map(({ at }) => ({ floor: at, image: picture(at) })),
          2,
        );
        if (!ground.ok) throw new Error(ground.problem.given);
        const back = onFloor(ground.value, picture({ x, y }));
        expect(back.x).toBeCloseTo(x, 3);
        expect(back.y).toBeCloseTo(y, 3);
        expect(back.sdX).toBeGreaterThan(0);
      },
    ),
  );
});

test('what stands higher is seen higher, what is farther smaller', () => {
  const at = (x: number, y: number, heightM = 0) => seenBy(USUAL_CAMERA, { x, y }, heightM);
  expect(at(0, 0, 1.7).y).toBeLessThan(at(0, 0).y);
  expect(Math.abs(at(1, 3).x)).toBeLessThan(Math.abs(at(1, -3).x));
  expect(at(0, 3).y).toBeLessThan(at(0, -3).y);
});

test('a hand sways alike every time, never farther than said, and never stands still for long', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 1e6 }),
      fc.double({ min: 0.001, max: 0.1, noNaN: true }),
      (seed, most) => {
        const sways = Array.from({ length: 60 }, (_, i) => handSway(50 * i, most, seed));
        expect(sways).toEqual(Array.from({ length: 60 }, (_, i) => handSway(50 * i, most, seed)));
        const farthest = Math.max(...sways.flatMap(({ x, y }) => [Math.abs(x), Math.abs(y)]));
        expect(farthest).toBeLessThanOrEqual(most + 1e-12);
        expect(farthest).toBeGreaterThan(most / 5);
      },
    ),
  );
});

test.each([
  ['a gallery', HIGH_CAMERA],
  ['the floor', LOW_CAMERA],
])('from %s every target and the athlete’s head are in the picture', (_, camera) => {
  // 16:9, as shares of the width.
  const isIn = ({ x, y }: { x: number; y: number }) => Math.abs(x) < 0.5 && Math.abs(y) < 9 / 32;
  for (const { at } of targets) {
    expect(isIn(seenBy(camera, at))).toBe(true);
    expect(isIn(seenBy(camera, at, 1.8))).toBe(true);
  }
});
