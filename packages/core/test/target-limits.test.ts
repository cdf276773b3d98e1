import { lineLimits, targetLimits, travelTime } from '@orthokin/core/budget';
import { HOME } from '@orthokin/core/floor';
import {
  GATED_DURATIONS,
  layoutTargets,
  limitAt,
  limitRange,
  limitsAt,
  limitsForAll,
  raisedBy,
  TYPICAL_BUILD,
  USUAL_RUNG,
  withLimits,
  withTargetLimits,
  type Rung,
  type TargetLimit,
} from '@orthokin/core/pattern';
import {
  asksTheSame,
  draftLadder,
  judgeRep,
  judgeSet,
  withLimit,
  withOwnLimit,
  withOwnLimits,
} from '@orthokin/core/progress';
import { readRep, type RepReading } from '@orthokin/core/timing';
import fc from 'fast-check';

const near: TargetLimit = {
  ...{ gate: 'recovery', target: 'B', limitMs: 700 },
  source: { kind: 'coach' },
};
const rung: Rung = {
  ...USUAL_RUNG,
  ...{ number: 1, name: 'Near and far', targets: ['A', 'B'] },
  limitsMs: { reaction: 300, recovery: 1000 },
  targetLimits: [near],
};

function reading(target: string, recoveryMs: number, sdMs = 0): RepReading {
  const at = (name: 'cue' | 'firstMove' | 'action' | 'home', atMs: number) => ({
    ...{ name, atMs, source: 'hand' as const },
    sdMs: name === 'home' ? sdMs : 0,
  });
  const events = [
    at('cue', 0),
    at('firstMove', 250),
    at('action', 900),
    at('home', 900 + recoveryMs),
  ];
  return readRep(
    { ordinal: 1, target, events, seenFaults: [], struckOut: false },
    { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-20, 120] },
  );
}

describe('a limit of a target’s own', () => {
  test('stands in the place of the rung’s, for its duration and its target alone', () => {
    expect(limitAt(rung, 'recovery', 'B')).toBe(700);
    expect(limitAt(rung, 'recovery', 'A')).toBe(1000);
    expect(limitsAt(rung, 'B')).toEqual({ reaction: 300, recovery: 700 });
    expect(limitRange(rung, 'recovery')).toEqual([700, 1000]);
    expect(limitRange(rung, 'reaction')).toBeNull();
    expect(limitsForAll(rung)).toEqual({ reaction: 300 });
    expect(limitAt({ limitsMs: {}, targetLimits: [near] }, 'recovery', 'B')).toBeUndefined();
  });

  test('is what a rep to it is judged by: in the set and by itself alike', () => {
    const far = Array.from({ length: 5 }, () => reading('A', 900));
    const close = Array.from({ length: 5 }, () => reading('B', 900));
    const { times, outcome } = judgeSet([...far, ...close], rung);
    const recovery = times.find(({ gate }) => gate === 'recovery');
    expect(recovery).toMatchObject({ passes: 5, fails: 5, range: [700, 1000], overMs: 200 });
    expect(outcome).toBe('not passed');
    expect(judgeRep(reading('B', 900), rung).recovery?.verdict).toBe('fail');
    expect(judgeRep(reading('A', 900), rung).recovery?.verdict).toBe('pass');
  });

  test('goes with the limit it stood in the place of', () => {
    const without = withLimit(rung, 'recovery', null);
    expect([without.limitsMs, without.targetLimits]).toEqual([{ reaction: 300 }, []]);
    expect(withLimit(rung, 'reaction', null).targetLimits).toEqual([near]);
  });

  test('an athlete’s own limit, or a set’s, stands above it where it differs', () => {
    const own = { rung: 1, limitsMs: { recovery: 950 }, limitSources: {} };
    const [theirs] = withOwnLimits([rung], [own]);
    expect(theirs && limitAt(theirs, 'recovery', 'B')).toBe(950);
    const same = withLimits(rung, { reaction: 280, recovery: 1000 });
    expect([limitAt(same, 'recovery', 'B'), limitAt(same, 'reaction', 'B')]).toEqual([700, 280]);
  });

  test('an athlete’s own line gives each target in play its own, the far one more', () => {
    const pattern = { targets: layoutTargets('star', 3) };
    const own = {
      ...{ reactionMs: 250, n: 40 },
      travel: { acceleration: 8, topSpeed: 4, n: 40, rss: 0, residualSdS: 0.03 },
    };
    const letters = pattern.targets.map(({ letter }) => letter);
    const asked = { ...rung, number: 3, targets: letters, floorScale: 0.5, limitsMs: {} };
    const limits = lineLimits(asked, pattern, own, 1.1);
    expect(limits.map(({ target }) => target)).toEqual(letters);
    for (const { target, limitMs, source } of limits) {
      const at = pattern.targets.find(({ letter }) => letter === target)?.at ?? HOME;
      const lineMs = 250 + 1000 * travelTime(0.5 * Math.hypot(at.x, at.y), own.travel);
      expect(source).toEqual({ kind: 'own line', lineMs: Math.round(lineMs), factor: 1.1, n: 40 });
      expect(Math.abs(limitMs - 1.1 * lineMs)).toBeLessThan(6);
    }
    expect(lineLimits({ ...asked, targets: ['Z'] }, pattern, own, 1)).toEqual([]);

    // Set for the athlete, each target keeps its own; given back, nothing is left of it.
    const most = limits.reduce((a, b) => (b.limitMs > a.limitMs ? b : a));
    const limit = { ms: most.limitMs, source: most.source };
    const set = withOwnLimit([], 3, 'response', limit, limits);
    const [theirs] = withOwnLimits([asked], set);
    for (const { target, limitMs } of limits)
      expect(theirs && limitAt(theirs, 'response', target)).toBe(limitMs);
    expect(withOwnLimit(set, 3, 'response', null)).toEqual([]);
    const coach = withOwnLimit(set, 3, 'response', { ms: 900, source: { kind: 'coach' } });
    expect(coach).toEqual([
      { rung: 3, limitsMs: { response: 900 }, limitSources: { response: { kind: 'coach' } } },
    ]);
  });

  test('is something else that is asked: what was shown before does not count', () => {
    const pattern = { targets: layoutTargets('line', 2), home: { onCourt: HOME, radiusM: 0.4 } };
    const before = { ...rung, targetLimits: [] };
    expect(asksTheSame({ rung, pattern }, { rung: before, pattern })).toBe(false);
    const said = { ...before, targetLimits: [{ ...near, limitMs: 1000 }] };
    expect(asksTheSame({ rung: said, pattern }, { rung: before, pattern })).toBe(true);
    expect(raisedBy(before, rung)).toEqual(['speed']);
    expect(withTargetLimits(rung, 'recovery', []).targetLimits).toEqual([]);
  });

  test('one judgement: what is counted in a set is what each rep is called', () => {
    const one = fc.tuple(
      fc.constantFrom('A', 'B', 'C'),
      fc.integer({ min: 300, max: 1500 }),
      fc.constantFrom(0, 45),
    );
    const limit = fc.integer({ min: 400, max: 1400 });
    fc.assert(
      fc.property(fc.array(one, { minLength: 1 }), limit, limit, (reps, all, own) => {
        const asked: Rung = {
          ...rung,
          targets: ['A', 'B', 'C'],
          limitsMs: { recovery: all },
          targetLimits: [{ ...near, limitMs: own }],
        };
        const readings = reps.map(([target, ms, sdMs]) => reading(target, ms, sdMs));
        const [gate] = judgeSet(readings, asked).times;
        const verdicts = readings.map((each) => judgeRep(each, asked).recovery?.verdict);
        const count = (what: string) => verdicts.filter((verdict) => verdict === what).length;
        expect(gate).toMatchObject({
          passes: count('pass'),
          fails: count('fail'),
          tooClose: count('too close to call'),
        });
      }),
    );
  });

  test('a rep that does not count is not judged', () => {
    const early = readRep(
      { ...reading('A', 900).rep, events: [], struckOut: true },
      { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-20, 120] },
    );
    expect(judgeRep(early, rung)).toEqual({});
  });
});

describe('where they come from', () => {
  test('a drafted ladder gives nearer targets less time, and none more than the farthest', () => {
    const targets = layoutTargets('star', 3).map((target, i) =>
      i === 0 ? { ...target, at: { x: 1, y: 1 } } : target,
    );
    for (const drafted of draftLadder({ targets, laidFor: TYPICAL_BUILD })) {
      const limits = drafted.targets.map((letter) => limitAt(drafted, 'recovery', letter) ?? 0);
      expect(Math.max(...limits)).toBeLessThanOrEqual(drafted.limitsMs.recovery ?? 0);
      if (drafted.targets.includes('A'))
        expect(limitAt(drafted, 'recovery', 'A')).toBe(Math.min(...limits));
      for (const { gate } of drafted.targetLimits ?? []) expect(GATED_DURATIONS).toContain(gate);
    }
  });

  test('a budget gives each target in play its own, times the rung’s share of match time', () => {
    const budget = (letter: string, timeS: number) =>
      ({
        ...{ letter, wayM: 5 },
        flight: { ok: true, value: { timeS } },
        recovery: { ok: false },
      }) as unknown as Parameters<typeof targetLimits>[2][number];
    const found = targetLimits(
      { targets: ['A', 'B'], timeFactor: 1.2 },
      'response',
      [budget('A', 1), budget('B', 0.5), budget('C', 0.1)],
      ({ letter }) => `to ${letter}`,
    );
    expect(found.map(({ target, limitMs }) => [target, limitMs])).toEqual([
      ['A', 1200],
      ['B', 600],
    ]);
    expect(found[1]?.source).toEqual({
      kind: 'budget',
      budgetMs: 500,
      factor: 1.2,
      flight: 'to B',
    });
    expect(targetLimits(rung, 'recovery', [budget('A', 1)], () => '')).toEqual([]);
  });
});
