import fc from 'fast-check';
import { distanceCovered, travelTime } from '@orthokin/core/budget';
import { seededRandom, type FreezeAt } from '@orthokin/core/cue';
import { distance, HOME, type Point } from '@orthokin/core/floor';
import {
  positionAt,
  simulateRep,
  simulateTrial,
  TYPICAL_ATHLETE,
  type SimulatedAthlete,
} from '@orthokin/core/simulation';
import { median } from '@orthokin/core/numeric';
import { checkEvents, durationsOf, type DurationName } from '@orthokin/core/timing';

const right: Point = { x: 2.4, y: 1 };
const left: Point = { x: -2.4, y: 1 };
const honest: SimulatedAthlete = { ...TYPICAL_ATHLETE, falseStartShare: 0 };

function medianOf(
  name: DurationName,
  { athlete = honest, target = right, repsBefore = 0, sessionsBefore = 0, seed = 1 } = {},
) {
  const random = seededRandom(seed);
  const reps = Array.from({ length: 400 }, () =>
    simulateRep(athlete, { atMs: 1000, target, repsBefore, sessionsBefore }, random),
  );
  return median(reps.flatMap(({ events }) => durationsOf(events)[name]?.ms ?? []));
}

describe('travel from rest to rest', () => {
  const model = { acceleration: 8, topSpeed: 4 };

  test('short ways never reach top speed, long ones do', () => {
    expect(travelTime(2, model)).toBe(1);
    expect(travelTime(4, model)).toBe(1.5);
  });

  test('covers half the way in half the time, all of it in all of it, and never turns back', () => {
    const metres = fc.double({ min: 0.1, max: 12, noNaN: true });
    fc.assert(
      fc.property(
        metres,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (d, s, more) => {
          const total = travelTime(d, model);
          expect(distanceCovered(total / 2, d, model)).toBeCloseTo(d / 2, 9);
          expect(distanceCovered(total, d, model)).toBe(d);
          const at = distanceCovered(s * total, d, model);
          const later = distanceCovered((s + (1 - s) * more) * total, d, model);
          expect(later).toBeGreaterThanOrEqual(at - 1e-9);
        },
      ),
    );
  });
});

describe('the simulated athlete', () => {
  test('repeats itself for the same seed', () => {
    const one = (seed: number) =>
      simulateRep(
        TYPICAL_ATHLETE,
        { atMs: 0, target: left, repsBefore: 3, sessionsBefore: 2 },
        seededRandom(seed),
      );
    expect(one(5)).toEqual(one(5));
    expect(one(5)).not.toEqual(one(6));
  });

  test('always makes a possible rep', () => {
    // Nearer than a step there is nothing to travel: no target lies inside home base.
    const metres = fc.double({ min: 0.5, max: 4, noNaN: true });
    const place = fc.record({ x: metres.map((x) => -x), y: metres });
    fc.assert(
      fc.property(
        place,
        fc.nat(),
        fc.nat(30),
        fc.nat(40),
        (target, seed, repsBefore, sessionsBefore) => {
          const guesser = { ...TYPICAL_ATHLETE, falseStartShare: 0.5 };
          const { events } = simulateRep(
            guesser,
            { atMs: 5000, target, repsBefore, sessionsBefore },
            seededRandom(seed),
          );
          expect(checkEvents(events)).toEqual({ ok: true, value: events });
          expect(events).toHaveLength(8);
        },
      ),
    );
  });

  test('reacts with an ex-Gaussian of its own: median near mu, mean above it by the tail', () => {
    const reaction = medianOf('reaction', { sessionsBefore: 100 });
    const { muMs, tauMs } = honest.reaction;
    expect(reaction).toBeGreaterThan(muMs);
    expect(reaction).toBeLessThan(muMs + tauMs);
  });

  test('needs longer for farther targets, tired reps, first sessions and its weaker side', () => {
    const travel = medianOf('travel');
    expect(medianOf('travel', { target: { x: 1, y: 0.5 } })).toBeLessThan(travel);
    expect(medianOf('travel', { repsBefore: 30 })).toBeGreaterThan(travel);
    expect(medianOf('travel', { sessionsBefore: 20 })).toBeLessThan(travel);
    const leftRatio = medianOf('travel', { target: left }) / travel;
    expect(leftRatio).toBeCloseTo(honest.weakSide?.factor ?? NaN, 1);
  });

  test('guesses as often as it was told to', () => {
    const random = seededRandom(2);
    const guesser = { ...TYPICAL_ATHLETE, falseStartShare: 0.2 };
    const early = Array.from({ length: 2000 }, () =>
      simulateRep(guesser, { atMs: 0, target: right, repsBefore: 0, sessionsBefore: 0 }, random),
    ).filter(({ events }) => (durationsOf(events).reaction?.ms ?? 0) < 100).length;
    expect(early / 2000).toBeCloseTo(0.2, 1);
  });

  test('is at home before and after, at the target between, and never farther out', () => {
    const { events } = simulateRep(
      honest,
      { atMs: 0, target: right, repsBefore: 0, sessionsBefore: 0 },
      seededRandom(4),
    );
    const at = (ms: number) => positionAt(events, right, honest.travel, ms);
    const time = (name: string) => events.find((event) => event.name === name)?.atMs ?? NaN;
    expect(at(0)).toEqual(HOME);
    expect(distance(at(time('action')), right)).toBeCloseTo(0, 6);
    expect(distance(at(time('home')), HOME)).toBeCloseTo(0, 6);
    for (let ms = 0; ms < 4000; ms += 25)
      expect(distance(HOME, at(ms))).toBeLessThanOrEqual(distance(HOME, right) + 1e-9);
  });
});

describe('a trial out of the ordinary', () => {
  const cue = { atMs: 5000, target: right, repsBefore: 0, sessionsBefore: 0 };
  const early: SimulatedAthlete = { ...TYPICAL_ATHLETE, falseStartShare: 1 };

  test('on a catch trial the honest hold and the early move', () => {
    expect(simulateTrial(honest, cue, { catch: true }, seededRandom(1)).events).toEqual([]);
    const [moved, ...more] = simulateTrial(early, cue, { catch: true }, seededRandom(1)).events;
    expect(moved?.name).toBe('firstMove');
    expect(more).toEqual([]);
  });

  test('a switched cue costs the change and a second look', () => {
    const reaction = (trial: Parameters<typeof simulateTrial>[2]) =>
      durationsOf(simulateTrial(honest, cue, trial, seededRandom(4)).events).reaction?.ms ?? NaN;
    expect(reaction({ switchTo: { at: right, afterMs: 120 } }) - reaction({})).toBe(180);
    const { events, seenFaults } = simulateTrial(
      early,
      cue,
      { switchTo: { at: left, afterMs: 120 } },
      seededRandom(2),
    );
    expect(seenFaults).toContain('wrong way');
    expect(checkEvents(events).ok).toBe(true);
  });

  test('called to a stop, the athlete does nothing more', () => {
    const names = (freezeAt: FreezeAt) =>
      simulateTrial(honest, cue, { freezeAt }, seededRandom(3)).events.map(({ name }) => name);
    expect(names('split')).toEqual(['splitTakeoff', 'splitLanding', 'cue']);
    expect(names('load').at(-1)).toBe('arrival');
    expect(names('recovery').at(-1)).toBe('home');
  });
});
