import fc from 'fast-check';
import {
  addedCues,
  calledTargets,
  chainLength,
  guessRate,
  longestRun,
  makeSchedule,
  predictability,
  seededRandom,
  trialOf,
  type CueOrder,
  type ScheduleSettings,
} from '@orthokin/core/cue';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { mean } from '@orthokin/core/numeric';

const settings: ScheduleSettings = {
  ...PLAIN_CONDITIONS,
  targets: ['A', 'B', 'C', 'D', 'E', 'F'],
  reps: 20,
  maxRun: 1,
  foreperiod: { kind: 'uniform', leastMs: 800, mostMs: 1600 },
};

function scheduleOf(change: Partial<ScheduleSettings> = {}, seed = 1) {
  const schedule = makeSchedule({ ...settings, ...change }, seededRandom(seed));
  if (!schedule.ok) throw new Error(`${schedule.problem.field}: ${schedule.problem.allowed}`);
  return schedule.value;
}

const lettersOf = (change: Partial<ScheduleSettings>, seed?: number) =>
  scheduleOf(change, seed).map(({ target }) => target);

const anyTargets = fc
  .constantFrom('AB', 'ABC', 'ABCD', 'ABCDEF', 'ABCDEFGHIJKL')
  .map((letters) => letters.split(''));

/** How often each ordered pair comes, itself included. */
function pairCounts(letters: readonly string[], targets: readonly string[]): Map<string, number> {
  const counts = new Map(targets.flatMap((a) => targets.map((b) => [a + b, 0])));
  for (const [i, letter] of letters.slice(1).entries()) {
    const pair = (letters[i] ?? '') + letter;
    counts.set(pair, (counts.get(pair) ?? 0) + 1);
  }
  return counts;
}

describe('orders', () => {
  test('known goes through the list, or the targets in turn', () => {
    expect(lettersOf({ order: 'known', reps: 7 }).join('')).toBe('ABCDEFA');
    expect(lettersOf({ order: 'known', list: ['C', 'C', 'A'], reps: 5 }).join('')).toBe('CCACC');
  });

  test('blocked does all of one target, then the next, as evenly as can be', () => {
    expect(lettersOf({ order: 'blocked', targets: ['A', 'B', 'C'], reps: 8 }).join('')).toBe(
      'AAABBBCC',
    );
  });

  test('called plans nothing', () => {
    expect(scheduleOf({ order: 'called' })).toEqual([]);
  });

  test('shuffled holds every target once a block', () => {
    fc.assert(
      fc.property(anyTargets, fc.integer({ min: 1, max: 60 }), fc.nat(), (targets, reps, seed) => {
        const letters = lettersOf({ targets, reps }, seed);
        for (let at = 0; at + targets.length <= reps; at += targets.length)
          expect(letters.slice(at, at + targets.length).sort()).toEqual(targets);
      }),
    );
  });

  test('chained holds every ordered pair exactly as often as every other', () => {
    fc.assert(
      fc.property(
        anyTargets,
        fc.constantFrom(1, 2, 3),
        fc.constantFrom(1, 2),
        fc.nat(),
        (targets, maxRun, circuits, seed) => {
          const reps = circuits * chainLength(targets.length, maxRun) + 1;
          fc.pre(reps <= 200);
          const letters = lettersOf({ order: 'chained', targets, maxRun, reps }, seed);
          const counts = pairCounts(letters, targets);
          for (const [pair, count] of counts)
            expect(count).toBe(pair[0] === pair[1] && maxRun === 1 ? 0 : circuits);
          // With every pair alike the last cue tells nothing at all of the next.
          const { conditionalEntropyBits } = predictability(letters);
          const choices = maxRun === 1 ? targets.length - 1 : targets.length;
          expect(conditionalEntropyBits).toBeCloseTo(Math.log2(choices), 9);
        },
      ),
    );
  });

  test('free keeps its weights, and the targets it may not repeat', () => {
    const letters = lettersOf({
      order: 'free',
      targets: ['A', 'B'],
      weights: { A: 3 },
      maxRun: 200,
      reps: 200,
    });
    const share = letters.filter((letter) => letter === 'A').length / letters.length;
    expect(share).toBeGreaterThan(0.65);
    expect(share).toBeLessThan(0.85);
    const strict = lettersOf({ order: 'free', targets: ['A', 'B'], maxRun: 1, reps: 6 });
    expect(['ABABAB', 'BABABA']).toContain(strict.join(''));
  });

  test('no order drawn at random has a longer run than is allowed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<CueOrder>('shuffled', 'chained', 'free'),
        anyTargets,
        fc.integer({ min: 1, max: 120 }),
        fc.integer({ min: 1, max: 3 }),
        fc.nat(),
        (order, targets, reps, maxRun, seed) => {
          expect(longestRun(lettersOf({ order, targets, reps, maxRun }, seed))).toBeLessThanOrEqual(
            maxRun,
          );
        },
      ),
    );
  });

  test('the same seed gives the same schedule, another seed another', () => {
    for (const order of ['shuffled', 'chained', 'free'] as const) {
      expect(scheduleOf({ order }, 3)).toEqual(scheduleOf({ order }, 3));
      expect(scheduleOf({ order }, 3)).not.toEqual(scheduleOf({ order }, 4));
    }
  });
});

describe('foreperiods', () => {
  const waits = (kind: ScheduleSettings['foreperiod']['kind'], reps = 200) =>
    scheduleOf({ reps, foreperiod: { kind, leastMs: 800, mostMs: 2000 } }).map(
      ({ foreperiodMs }) => foreperiodMs,
    );

  test('fixed ones are all the same', () => {
    expect(new Set(waits('fixed'))).toEqual(new Set([800]));
  });

  test.each(['uniform', 'non-ageing'] as const)('%s ones fill their range', (kind) => {
    expect(Math.min(...waits(kind))).toBeGreaterThanOrEqual(800);
    expect(Math.min(...waits(kind))).toBeLessThan(860);
    expect(Math.max(...waits(kind))).toBeLessThanOrEqual(2000);
    expect(Math.max(...waits(kind))).toBeGreaterThan(1800);
  });

  test('having waited says nothing where they do not age', () => {
    const all = Array.from({ length: 40 }, (_, seed) =>
      scheduleOf({ reps: 200, foreperiod: { kind: 'non-ageing', leastMs: 0, mostMs: 3000 } }, seed),
    ).flatMap((cues) => cues.map(({ foreperiodMs }) => foreperiodMs));
    /** Share of those still to come that comes within the next 300 ms. */
    const hazard = (from: number) =>
      all.filter((ms) => ms >= from && ms < from + 300).length /
      all.filter((ms) => ms >= from).length;
    expect(hazard(0)).toBeCloseTo(hazard(900), 1);
    expect(hazard(0)).toBeCloseTo(hazard(1200), 1);
    expect(mean(all)).toBeLessThan(1000);
  });
});

describe('trials', () => {
  const shares = { catchShare: 0.2, switchShare: 0.1, freezeShare: 0.1 };

  test('come as often as asked, and never first', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 60 }), fc.nat(), (reps, seed) => {
        const cues = scheduleOf({ ...shares, reps }, seed);
        const count = (trial: string) => cues.filter((cue) => trialOf(cue) === trial).length;
        expect(cues).toHaveLength(reps);
        expect(cues.map(({ ordinal }) => ordinal)).toEqual(cues.map((_, i) => i + 1));
        expect(count('catch')).toBe(Math.round(0.2 * reps));
        expect(count('switch')).toBe(Math.round(0.1 * reps));
        expect(count('freeze')).toBe(Math.round(0.1 * reps));
        expect(cues[0] && trialOf(cues[0])).toBe('plain');
      }),
    );
  });

  test('a switched cue goes to another target in play', () => {
    for (const { target, switchTo } of scheduleOf({ switchShare: 0.5, reps: 40 }))
      if (switchTo) {
        expect(switchTo.target).not.toBe(target);
        expect(settings.targets).toContain(switchTo.target);
        expect(switchTo.afterMs).toBe(120);
      }
  });

  test('catch trials come in between: the targets really called keep their order', () => {
    const targets = ['A', 'B', 'C'];
    const cues = scheduleOf({ order: 'known', targets, reps: 20, catchShare: 0.25 });
    expect(calledTargets(cues).join('')).toBe('ABCABCABCABCABC');
  });

  test('late cues and moved targets come with every rep that is called', () => {
    const cues = scheduleOf({ late: 'side', varyM: 0.5, catchShare: 0.2, reps: 30 });
    for (const { late, movedM, catch: isCatch } of cues) {
      expect(late === undefined).toBe(isCatch === true);
      if (late) expect(['left', 'right']).toContain(late.show);
      if (movedM !== undefined) expect(Math.abs(movedM)).toBeLessThanOrEqual(0.5);
    }
    expect(new Set(cues.map(({ late }) => late?.show)).size).toBe(3);
  });
});

test.each<[string, Partial<ScheduleSettings>]>([
  ['targets', { targets: [] }],
  ['targets', { targets: ['A', 'A'] }],
  ['reps', { reps: 0 }],
  ['reps', { reps: 201 }],
  ['maxRun', { maxRun: 0 }],
  ['maxRun', { targets: ['A'] }],
  ['list[1]', { list: ['A', 'Z'] }],
  ['weights.B', { weights: { B: 0 } }],
  ['foreperiod.mostMs', { foreperiod: { kind: 'uniform', leastMs: 900, mostMs: 800 } }],
  ['foreperiod.leastMs', { foreperiod: { kind: 'fixed', leastMs: NaN, mostMs: 0 } }],
  ['catchShare', { catchShare: 1.1 }],
  ['catchShare + switchShare + freezeShare', { catchShare: 0.6, freezeShare: 0.6 }],
  ['switchShare', { targets: ['A'], maxRun: 20, switchShare: 0.2 }],
  ['switchAfterMs', { switchAfterMs: 0 }],
  ['varyM', { varyM: 3 }],
])('%s is named when a schedule cannot be made from it', (field, change) => {
  const schedule = makeSchedule({ ...settings, ...change }, seededRandom(1));
  expect(schedule).toMatchObject({ ok: false, problem: { field } });
});

test('a single target may be cued as often as a run may last', () => {
  expect(lettersOf({ targets: ['A'], reps: 3, maxRun: 3 })).toEqual(['A', 'A', 'A']);
});

test('nothing and a single cue are guessable as far as they go', () => {
  expect(predictability([])).toMatchObject({ guessRateMarginal: 0, guessRateFromPrevious: 0 });
  expect(predictability(['A'])).toMatchObject({ entropyBits: 0, guessRateMarginal: 1 });
});

describe('a guesser who knows an order', () => {
  const lists = (order: CueOrder, from: number) =>
    Array.from({ length: 20 }, (_, i) => lettersOf({ order, reps: 37, maxRun: 2 }, from + i));

  test('knows a known one outright, and no more than chance of a chained or free one', () => {
    expect(guessRate(lists('known', 0), lists('known', 50))).toBe(1);
    for (const order of ['chained', 'free'] as const)
      expect(Math.abs(guessRate(lists(order, 0), lists(order, 50)) - 1 / 6)).toBeLessThan(0.07);
    expect(guessRate([], lists('known', 0))).toBe(0);
    expect(guessRate(lists('known', 0), [])).toBe(0);
  });
});

describe('cues that lost reps may add', () => {
  test('come after the set’s own, are never a catch, and do not go on with its last target', () => {
    fc.assert(
      fc.property(
        ...([anyTargets, fc.integer({ min: 1, max: 30 }), fc.nat()] as const),
        (targets, most, seed) => {
          const asked = { ...settings, targets, catchShare: 0.2, maxRun: 2 };
          const own = scheduleOf(asked, seed);
          const added = addedCues(asked, own, most, seededRandom(seed + 1));
          if (!added.ok) throw new Error(added.problem.field);
          expect(added.value.map(({ ordinal }) => ordinal)).toEqual(
            Array.from({ length: most }, (_, i) => own.length + i + 1),
          );
          expect(added.value.some((cue) => cue.catch)).toBe(false);
          expect(added.value[0]?.target).not.toBe(own.at(-1)?.target);
        },
      ),
    );
  });
});
