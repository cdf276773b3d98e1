import fc from 'fast-check';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { LAYOUTS, USUAL_RUNG, type Pattern } from '@orthokin/core/pattern';
import {
  decide,
  decideHere,
  QUICK_COUNT_RULE,
  type KnownLadder,
  type RunSet,
} from '@orthokin/core/progress';
import type { RecordedRep } from '@orthokin/core/timing';
import { bare } from './patterns.js';

const [layout = 'star'] = LAYOUTS;
const plain = bare(layout, 3);
const letters = plain.targets.map(({ letter }) => letter);
const pattern: Pattern = {
  ...plain,
  rungs: [1, 2].map((number) => ({
    ...{ ...USUAL_RUNG, number, name: `Rung ${number}`, targets: letters, order: 'shuffled' },
    ...{ limitsMs: { cycle: 2200 - 200 * number } },
  })),
};
const ladder: KnownLadder = { pattern, rung: 1, rule: QUICK_COUNT_RULE, evidence: [] };

const reps = (n: number, cycleMs: number): RecordedRep[] =>
  Array.from({ length: n }, (_, i) => ({
    ...{ id: `${i}`, ordinal: i + 1, target: letters[i % letters.length] ?? 'A' },
    ...{ seenFaults: [], struckOut: false, replaces: null },
    events: [
      { name: 'cue', atMs: 5000 * i, sdMs: 0, source: 'sensor' },
      { name: 'home', atMs: 5000 * i + cycleMs, sdMs: 0, source: 'sensor' },
    ],
  }));
const setOf = (id: string, day: string, change: Partial<RunSet> = {}): RunSet => ({
  ...{ id, day, rung: 1, limitsMs: null, pattern, source: 'sensor' },
  ...{ falseStartMs: 100, responseLimitMs: 9000 },
  cues: reps(10, 1800).map(({ ordinal, target }) => ({ ordinal, target, foreperiodMs: 1000 })),
  conditions: { ...PLAIN_CONDITIONS, order: 'shuffled' },
  ...change,
});

test('set after set it is decided as if all were known at once', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 1400, max: 2600 }), fc.integer({ min: 4, max: 12 })), {
        minLength: 1,
        maxLength: 6,
      }),
      (played) => {
        let heard = ladder;
        for (const [i, [cycleMs, n]] of played.entries()) {
          const after = decideHere(heard, setOf(`s${i}`, `2026-01-0${i + 1}`), reps(n, cycleMs));
          expect(after).not.toBeNull();
          if (after) heard = { ...heard, evidence: after.evidence };
        }
        expect(heard.evidence.map(({ setId }) => setId)).toEqual(played.map((_, i) => `s${i}`));
        const [rung, next] = pattern.rungs;
        const all = { sets: heard.evidence, rung, next, hasRungBelow: false };
        const last = played.length - 1;
        const again = decideHere(
          { ...heard, evidence: heard.evidence.slice(0, -1) },
          setOf(`s${last}`, `2026-01-0${last + 1}`),
          reps(played[last]?.[1] ?? 0, played[last]?.[0] ?? 0),
        );
        expect(again?.decision).toEqual(decide(all as never, QUICK_COUNT_RULE));
      },
    ),
  );
});

test('two sets that pass on two days move up; the same set told twice counts once', () => {
  const first = decideHere(ladder, setOf('one', '2026-01-01'), reps(10, 1700));
  expect(first?.decision.answer).toBe('not enough reps yet');
  const known = { ...ladder, evidence: first?.evidence ?? [] };
  const twice = decideHere(known, setOf('one', '2026-01-01'), reps(10, 1700));
  expect(twice?.evidence).toHaveLength(1);
  const second = decideHere(known, setOf('two', '2026-01-02'), reps(10, 1700));
  expect(second?.decision).toMatchObject({ answer: 'move up', setIds: ['one', 'two'] });
});

test.each<[string, Partial<RunSet>]>([
  ['timed by another source', { source: 'hand' }],
  [
    'cued to another sense',
    { conditions: { ...PLAIN_CONDITIONS, order: 'shuffled', cueKinds: ['marker'] } },
  ],
])('what was %s is not pooled', (_, other) => {
  const heard = {
    ...PLAIN_CONDITIONS,
    ...{ order: 'shuffled' as const, cueKinds: ['tone' as const] },
  };
  const first = decideHere(
    ladder,
    setOf('one', '2026-01-01', { conditions: heard }),
    reps(10, 1700),
  );
  const known = { ...ladder, evidence: first?.evidence ?? [] };
  const change = { conditions: heard, ...other };
  const second = decideHere(known, setOf('two', '2026-01-02', change), reps(10, 1700));
  expect(second?.evidence.map(({ setId }) => setId)).toEqual(['two']);
});

test.each<[string, Partial<RunSet>]>([
  ['nobody timed', { source: 'none' }],
  ['was run on another rung', { rung: 2 }],
  ['had limits of its own then', { limitsMs: { cycle: 2500 } }],
  ['was on a rung that is gone', { rung: 9 }],
  ['gave its order away', { conditions: { ...PLAIN_CONDITIONS, order: 'known' } }],
  ['was run on another floor', { pattern: { ...pattern, home: { ...pattern.home, radiusM: 2 } } }],
])('a set that %s says nothing of the rung', (_, change) => {
  expect(decideHere(ladder, setOf('one', '2026-01-01', change), reps(10, 1700))).toBeNull();
});
