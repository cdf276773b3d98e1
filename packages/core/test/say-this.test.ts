import { seededRandom } from '@orthokin/core/cue';
import { hypergeometricTail } from '@orthokin/core/numeric';
import { USUAL_RUNG, type Rung } from '@orthokin/core/pattern';
import { sayThis } from '@orthokin/core/progress';
import { readRep, type Fault, type RepReading } from '@orthokin/core/timing';
import fc from 'fast-check';

const rung: Rung = {
  ...USUAL_RUNG,
  ...{ number: 1, name: 'Corners', targets: ['A', 'B', 'C', 'D'] },
  limitsMs: { reaction: 300, recovery: 900 },
};

interface Made {
  readonly target?: string;
  readonly recoveryMs?: number;
  readonly reactionMs?: number;
  readonly faults?: readonly Fault[];
}
function readingOf(
  { target = 'A', recoveryMs = 800, reactionMs = 250, faults = [] }: Made,
  i: number,
): RepReading {
  const at = (name: 'cue' | 'firstMove' | 'action' | 'home', atMs: number) => ({
    ...{ name, atMs, sdMs: 0, source: 'sensor' as const },
  });
  const events = [
    ...[at('cue', 0), at('firstMove', reactionMs), at('action', 1000)],
    at('home', 1000 + recoveryMs),
  ];
  return readRep(
    { ordinal: i + 1, target, events, seenFaults: [...faults], struckOut: false },
    { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-20, 120] },
  );
}
/** Twelve reps over four targets in turn. */
const twelve = (of: (i: number) => Made = () => ({})) =>
  Array.from({ length: 12 }, (_, i) =>
    readingOf({ target: rung.targets[i % 4] ?? 'A', ...of(i) }, i),
  );

describe('what to say after a set', () => {
  test('a good set has nothing to mend; a limit that all kept is to be kept', () => {
    expect(sayThis(twelve(), rung, [])).toEqual({
      mend: null,
      keep: { kind: 'inside', gate: 'reaction', of: 12 },
    });
  });

  test('a watched fault comes before one more often seen, and one that never came is kept', () => {
    const reps = twelve((i) => ({
      faults: [...(i < 3 ? ['lean' as const] : []), ...(i < 6 ? ['flat feet' as const] : [])],
    }));
    const { mend, keep } = sayThis(reps, rung, ['narrow base', 'lean']);
    expect(mend).toMatchObject({ kind: 'fault', fault: 'lean', reps: 3, of: 12 });
    expect(keep).toEqual({ kind: 'without', fault: 'narrow base', of: 12 });
    expect(sayThis(reps, rung, []).mend).toMatchObject({ fault: 'flat feet', reps: 6 });
  });

  test('going early more than the rung allows comes first of all', () => {
    const reps = twelve((i) => (i % 4 === 0 ? { reactionMs: 40 } : { faults: ['lean'] }));
    expect(sayThis(reps, rung, ['lean']).mend).toMatchObject({ fault: 'false start', reps: 3 });
  });

  test('one fault in twelve is an accident', () => {
    expect(
      sayThis(
        twelve((i) => (i === 0 ? { faults: ['lean'] } : {})),
        rung,
        ['lean'],
      ).mend,
    ).toBe(null);
  });

  test('the limit that is missed by most, at the one target it shows at', () => {
    const slow = twelve((i) => ({ recoveryMs: i % 4 === 1 ? 1100 : 800 }));
    const { mend, keep } = sayThis(slow, rung, []);
    expect(mend).toEqual({
      ...{ kind: 'slow', gate: 'recovery', reps: 3, of: 12, overMs: 200, at: 'B' },
    });
    expect(keep).toMatchObject({ gate: 'reaction' });
    const everywhere = twelve(() => ({ recoveryMs: 1000, reactionMs: 310 }));
    expect(sayThis(everywhere, rung, []).mend).toMatchObject({ gate: 'recovery', at: null });
  });

  test('where only all limits at once are missed, the one that most were over', () => {
    const reps = twelve((i) => ({
      recoveryMs: i % 4 === 1 && i < 8 ? 950 : 800,
      reactionMs: i === 6 ? 320 : 250,
    }));
    const { mend } = sayThis(reps, rung, []);
    expect(mend).toMatchObject({ kind: 'slow', gate: 'recovery', reps: 2, overMs: 0, at: null });
  });

  test('five reps show nothing', () => {
    const five = twelve(() => ({ faults: ['lean'], recoveryMs: 2000 })).slice(0, 5);
    expect(sayThis(five, rung, ['lean'])).toEqual({ mend: null, keep: null });
  });

  test('a fault that comes anywhere is laid to one target in at most one set of twenty', () => {
    const random = seededRandom(7);
    const sets = 2000;
    let named = 0;
    for (let set = 0; set < sets; set++) {
      const reps = twelve(() => ({ faults: random() < 0.35 ? ['lean'] : [] }));
      const { mend } = sayThis(reps, rung, ['lean']);
      if (mend?.at != null) named++;
    }
    expect(named / sets).toBeLessThanOrEqual(0.05);
  });

  test('whatever the set, what is said to be mended was there and what is kept was not', () => {
    const one = fc.record({
      target: fc.constantFrom(...rung.targets),
      recoveryMs: fc.integer({ min: 500, max: 1500 }),
      reactionMs: fc.integer({ min: 30, max: 500 }),
      faults: fc.subarray<Fault>(['lean', 'flat feet', 'narrow base']),
    });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 16 }), (made) => {
        const reps = made.map(readingOf);
        const { mend, keep } = sayThis(reps, rung, ['lean']);
        if (mend) {
          expect(mend.reps).toBeGreaterThanOrEqual(1);
          expect(mend.reps).toBeLessThanOrEqual(mend.of);
          if (mend.at !== null) expect(reps.some(({ rep }) => rep.target === mend.at)).toBe(true);
        }
        if (keep?.kind === 'without')
          expect(reps.some(({ faults }) => faults.includes(keep.fault))).toBe(false);
        if (keep?.kind === 'inside' && mend?.kind === 'slow') expect(keep.gate).not.toBe(mend.gate);
      }),
    );
  });
});

describe('the hypergeometric tail', () => {
  test('agrees with counting', () => {
    // Of 6 balls, 3 marked, 2 drawn: 3/15 pairs are both marked, 3/15 neither.
    const urn = { all: 6, marked: 3, drawn: 2 };
    expect(hypergeometricTail(2, urn)).toBeCloseTo(3 / 15, 12);
    expect(hypergeometricTail(1, urn)).toBeCloseTo(12 / 15, 12);
    expect(hypergeometricTail(0, urn)).toBeCloseTo(1, 12);
    expect(hypergeometricTail(3, urn)).toBe(0);
  });

  test('falls as more is asked', () => {
    fc.assert(
      fc.property(fc.nat(30), fc.nat(30), fc.nat(30), (a, b, c) => {
        const all = Math.max(a, b, c);
        const urn = { all, marked: Math.min(a, b), drawn: c };
        const tails = Array.from({ length: all + 2 }, (_, k) => hypergeometricTail(k, urn));
        for (const [k, p] of tails.entries()) {
          expect(p).toBeLessThanOrEqual((tails[k - 1] ?? 1) + 1e-12);
          expect(p).toBeGreaterThanOrEqual(0);
        }
      }),
    );
  });
});
