import fc from 'fast-check';
import { seededRandom, type Random } from '@orthokin/core/cue';
import { USUAL_RUNG, type Rung } from '@orthokin/core/pattern';
import {
  checkRule,
  decide,
  QUICK_COUNT_RULE,
  USUAL_SEQUENTIAL_RULE,
  USUAL_STAIRCASE_RULE,
  evidenceOf,
  judgeSet,
  playStaircase,
  runningTest,
  sequentialTest,
  operatingOf,
  PRESET_RULES,
  riskOf,
  RULE_PRESETS,
  setPassProbability,
  simulateStaircase,
  stateOf,
  steady,
  suggestCount,
  suggestSequential,
  USUAL_OUTLOOK,
  USUAL_LADDER,
  USUAL_WISH,
  type OutlookSettings,
  type Evidence,
  type JudgedSet,
  type Rule,
} from '@orthokin/core/progress';
import { normalCdf, normalQuantile } from '@orthokin/core/numeric';
import { readRep, type Fault } from '@orthokin/core/timing';

const rung: Rung = {
  ...USUAL_RUNG,
  ...{ number: 2, name: 'Mixed', targets: ['A', 'B'], limitsMs: { cycle: 2000 }, timeFactor: 1.1 },
};
const faster: Rung = { ...rung, number: 3, timeFactor: 1 };

interface Played {
  readonly cycleMs: number;
  readonly faults?: readonly Fault[];
}

/** A set of exact cycle times. */
function setOf(reps: readonly Played[], day = '2026-01-01', setId = day): JudgedSet {
  const readings = reps.map(({ cycleMs, faults = [] }, i) =>
    readRep(
      {
        ...{ ordinal: i + 1, target: 'A', seenFaults: faults, struckOut: false },
        events: [
          { name: 'cue', atMs: 0, sdMs: 0, source: 'sensor' },
          { name: 'home', atMs: cycleMs, sdMs: 0, source: 'sensor' },
        ],
      },
      { falseStartMs: 100, responseLimitMs: 9000, splitWindowMs: [-60, 120] },
    ),
  );
  return { setId, day, judgement: judgeSet(readings, rung, ['narrow base', 'lean']) };
}
const times = (n: number, cycleMs: number, faults: readonly Fault[] = []): Played[] =>
  Array.from({ length: n }, () => ({ cycleMs, faults }));
const passed = (day: string) => setOf(times(10, 1800), day);
const evidence = (sets: readonly JudgedSet[], more: Partial<Evidence> = {}): Evidence => ({
  ...{ sets, rung, next: faster, hasRungBelow: true },
  ...more,
});
const RULES: readonly Rule[] = [QUICK_COUNT_RULE, USUAL_SEQUENTIAL_RULE, USUAL_STAIRCASE_RULE];

describe('what comes next', () => {
  test('the rule is met: move up, and what that raises', () => {
    const decision = decide(evidence([passed('1'), passed('2')]), QUICK_COUNT_RULE);
    expect(decision).toMatchObject({
      ...{ answer: 'move up', because: 'the rule is met', raises: ['speed'], limiting: null },
      ...{ passRate: 1, setIds: ['1', '2'] },
    });
  });

  test('fewer than half of eight reps passed: ease back; of seven it says nothing yet', () => {
    const half = (n: number) => [...times(n - 4, 2400), ...times(4, 1800)];
    expect(decide(evidence([setOf(half(9))]), QUICK_COUNT_RULE)).toMatchObject({
      answer: 'ease back',
      because: 'fewer than half passed',
    });
    expect(decide(evidence([setOf(half(8))]), QUICK_COUNT_RULE).answer).not.toBe('ease back');
    expect(decide(evidence([setOf(times(7, 2400))]), QUICK_COUNT_RULE).answer).not.toBe(
      'ease back',
    );
  });

  test('on the lowest rung there is nothing to ease back to', () => {
    const slow = evidence([setOf(times(10, 2400))], { hasRungBelow: false });
    expect(decide(slow, QUICK_COUNT_RULE).answer).toBe('stay');
  });

  test('technique failing in two sets running: ease back, however fast', () => {
    const untidy = (day: string) =>
      setOf([...times(6, 1800), ...times(4, 1800, ['narrow base'])], day);
    expect(decide(evidence([passed('1'), untidy('2')]), QUICK_COUNT_RULE).answer).toBe('stay');
    expect(decide(evidence([untidy('1'), untidy('2')]), QUICK_COUNT_RULE)).toMatchObject({
      answer: 'ease back',
      because: 'technique failed twice',
    });
  });

  test('a steep fade asks for rest, not for an easier rung', () => {
    const fading = setOf(Array.from({ length: 12 }, (_, i) => ({ cycleMs: 1700 + 90 * i })));
    expect(decide(evidence([fading]), QUICK_COUNT_RULE)).toMatchObject({
      answer: 'rest',
      because: 'steep fade',
      fade: { isSteep: true },
    });
  });

  test('a rung without limits or sets of no reps stop nothing from being said', () => {
    expect(decide(evidence([]), USUAL_SEQUENTIAL_RULE)).toMatchObject({
      answer: 'not enough reps yet',
      passRate: null,
    });
    expect(decide(evidence([setOf([])]), USUAL_SEQUENTIAL_RULE)).toMatchObject({
      answer: 'not enough reps yet',
      passRate: null,
    });
  });
});

const anySet = fc
  .tuple(
    fc.array(
      fc.record({
        cycleMs: fc.integer({ min: 1500, max: 2600 }),
        faults: fc.constantFrom<readonly Fault[]>([], [], [], ['narrow base']),
      }),
      { maxLength: 14 },
    ),
    fc.constantFrom('2026-01-01', '2026-01-02', '2026-01-03'),
  )
  .map(([reps, day]) => setOf(reps, day));
const anySets = fc.array(anySet, { maxLength: 6 });

describe('over any evidence', () => {
  test.each(RULES)('$kind: technique failing in the newest set moves nobody up', (rule) => {
    const untidy = setOf([...times(6, 1600), ...times(4, 1600, ['lean'])]);
    fc.assert(
      fc.property(anySets, (sets) => {
        expect(decide(evidence([...sets, untidy]), rule).answer).not.toBe('move up');
      }),
    );
  });

  test.each(RULES)('$kind: replayed from its stored evidence a decision is the same', (rule) => {
    fc.assert(
      fc.property(anySets, (sets) => {
        const given = evidence(sets);
        const stored = JSON.parse(JSON.stringify(given)) as Evidence;
        expect(JSON.stringify(decide(stored, rule))).toBe(JSON.stringify(decide(given, rule)));
      }),
    );
  });
});

describe('the sequential test', () => {
  const chance = fc.double({ min: 0, max: 1, noNaN: true });

  test('a rep too close to call moves it by less than a sure one', () => {
    const [fail, pass] = [0, 1].map((each) => evidenceOf(each, USUAL_SEQUENTIAL_RULE));
    fc.assert(
      fc.property(chance, (each) => {
        const step = evidenceOf(each, USUAL_SEQUENTIAL_RULE);
        expect(step).toBeGreaterThanOrEqual((fail ?? NaN) - 1e-12);
        expect(step).toBeLessThanOrEqual((pass ?? NaN) + 1e-12);
      }),
    );
    expect(evidenceOf(0.5, USUAL_SEQUENTIAL_RULE)).toBe(0);
  });

  test('stops at a bound: reps after it change nothing', () => {
    fc.assert(
      fc.property(fc.array(chance, { maxLength: 60 }), fc.array(chance), (reps, more) => {
        const test = sequentialTest(reps, USUAL_SEQUENTIAL_RULE);
        fc.pre(test.decidedAt !== null);
        expect(sequentialTest([...reps, ...more], USUAL_SEQUENTIAL_RULE)).toEqual(test);
      }),
    );
  });

  test('who was not ready begins anew; who was ready stays so', () => {
    const fails = Array.from({ length: 4 }, () => 0);
    const passes = Array.from({ length: 15 }, () => 1);
    expect(sequentialTest(fails, USUAL_SEQUENTIAL_RULE).state).toBe('not ready');
    const later = runningTest([...fails, ...passes], USUAL_SEQUENTIAL_RULE);
    expect(later).toMatchObject({ state: 'ready', decidedAt: 15 });
    expect(runningTest([...passes, ...fails], USUAL_SEQUENTIAL_RULE).state).toBe('ready');
    expect(runningTest(fails, USUAL_SEQUENTIAL_RULE).state).toBe('not ready');
  });
});

describe('the staircase', () => {
  const rule = USUAL_STAIRCASE_RULE;

  test('quickens after three passes, eases after one fail, halves its step where it turns', () => {
    const answers = [true, true, true, false, true, true, true, false];
    const { pacesMs, reversalsMs } = playStaircase(9, 2000, rule, (rep) => answers[rep] ?? true);
    expect(pacesMs).toEqual([2000, 2000, 2000, 1800, 1900, 1900, 1900, 1850, 1875]);
    expect(reversalsMs).toEqual([1800, 1900, 1850]);
  });

  test('its step never falls below the least, nor its pace to nothing', () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: 1, maxLength: 200 }), (answers) => {
        const { pacesMs } = playStaircase(
          answers.length,
          2000,
          rule,
          (rep) => answers[rep] ?? true,
        );
        for (const [i, pace] of pacesMs.entries()) {
          const step = Math.abs(pace - (pacesMs[i - 1] ?? pace));
          if (step > 0 && pace > 300) expect(step).toBeGreaterThanOrEqual(rule.leastStepMs);
        }
        expect(Math.min(...pacesMs)).toBeGreaterThanOrEqual(300);
      }),
    );
  });

  test('settles near 79 % (Levitt 1971)', () => {
    const random = seededRandom(5);
    // Passes with a chance that rises evenly from 0 at 1500 ms to 1 at 2500 ms.
    const rateAt = (paceMs: number) => Math.min(1, Math.max(0, (paceMs - 1500) / 1000));
    const thresholds = Array.from({ length: 300 }, () => {
      const fine = { ...rule, reversals: 12 };
      return (
        playStaircase(120, 2400, fine, (_, pace) => random() < rateAt(pace)).thresholdMs ?? NaN
      );
    });
    const settled = thresholds.reduce((sum, each) => sum + rateAt(each), 0) / thresholds.length;
    expect(settled).toBeGreaterThan(0.77);
    expect(settled).toBeLessThan(0.82);
  });

  test('too few reversals give no threshold; enough that reach the limit move up', () => {
    const judged = setOf(times(12, 1800));
    const played = (thresholdMs: number | null): JudgedSet => ({
      ...judged,
      staircase: { pacesMs: [], nextMs: 2000, row: 0, reversalsMs: [], needed: 6, thresholdMs },
    });
    const answer = (set: JudgedSet) => decide(evidence([set]), rule).answer;
    expect(answer(judged)).toBe('not enough reps yet');
    expect(answer(played(null))).toBe('not enough reps yet');
    expect(answer(played(2040))).toBe('not enough reps yet');
    expect(answer(played(1990))).toBe('move up');
  });
});

describe('what a rule would do', () => {
  test('the same generator gives the same answer; progress rises', () => {
    const heard: number[] = [];
    const run = () =>
      simulateStaircase(
        ...([USUAL_STAIRCASE_RULE, steady(0.8), USUAL_OUTLOOK, 500, seededRandom(1)] as const),
        (share) => heard.push(share),
      );
    expect(run()).toEqual(run());
    expect(Math.max(...heard)).toBeLessThan(1);
  });

  const outcomeOf = (rule: Rule, passRate: number, settings: OutlookSettings) =>
    rule.kind === 'staircase'
      ? simulateStaircase(rule, steady(passRate), settings, 1500, seededRandom(9))
      : operatingOf(rule, steady(passRate), settings);

  test.each(RULES)(
    '$kind moves the better up oftener, and never the same one both ways',
    (rule) => {
      const long = { ...USUAL_OUTLOOK, repsPerSet: 40, passesNeeded: 32 };
      const outcomes = [0.5, 0.65, 0.8, 0.95].map((rate) => outcomeOf(rule, rate, long));
      const moved = outcomes.map((each) => each.moved);
      expect([...moved].sort((a, b) => a - b)).toEqual(moved);
      for (const { tooSoon, heldBack, moved: all } of outcomes) {
        expect(tooSoon + heldBack).toBeLessThanOrEqual(1);
        expect(tooSoon).toBeLessThanOrEqual(all);
      }
      expect(outcomes[0]?.heldBack).toBe(0);
      expect(outcomes[3]?.tooSoon).toBe(0);
    },
  );

  /** Sets of one athlete, rep by rep, until the state of the rule itself says that it is met. */
  function follow(rule: Rule, rateOf: (set: number) => number, random: Random): number | null {
    const { repsPerSet, passesNeeded, setsPerDay, withinSets } = USUAL_OUTLOOK;
    const sets: JudgedSet[] = [];
    for (let set = 0; set < withinSets; set++) {
      const chances = Array.from({ length: repsPerSet }, () => (random() < rateOf(set) ? 1 : 0));
      const passes = chances.filter((each) => each === 1).length;
      const judgement = {
        ...passed('1').judgement,
        ...{
          chances,
          outcome: passes >= passesNeeded ? ('passed' as const) : ('not passed' as const),
        },
      };
      sets.push({ setId: String(set), day: String(Math.floor(set / setsPerDay)), judgement });
      if (stateOf(sets, rule).met) return set + 1;
    }
    return null;
  }

  test.each([
    ...[QUICK_COUNT_RULE, PRESET_RULES['careful count'], USUAL_SEQUENTIAL_RULE],
    { ...QUICK_COUNT_RULE, setsNeeded: 3, ofLast: 5, distinctDays: 3 },
  ])('worked out exactly, $kind does what its own state does over 1,500 athletes', (rule) => {
    if (rule.kind === 'staircase') throw new Error('only simulated');
    const learner = { passRate: 0.66, learning: 0.06, ceiling: 0.9 };
    const exact = operatingOf(rule, learner, USUAL_OUTLOOK);
    const random = seededRandom(12);
    const moves = Array.from({ length: 1500 }, () =>
      follow(rule, (set) => 0.66 + 0.24 * (1 - 0.94 ** set), random),
    );
    const moved = moves.filter((each) => each !== null).length / moves.length;
    const se = Math.sqrt((exact.moved * (1 - exact.moved)) / moves.length);
    expect(Math.abs(moved - exact.moved)).toBeLessThan(3.5 * se + 1e-3);
    const sets = moves.reduce((sum: number, each) => sum + (each ?? 20), 0) / moves.length;
    expect(Math.abs(sets - exact.meanSets)).toBeLessThan((3.5 * 7) / Math.sqrt(moves.length));
    expect(exact).toMatchObject({ athletes: null, se: 0 });
  });

  test('presets say what they do; the first, which new ladders have, keeps the wish', () => {
    const risks = RULE_PRESETS.map((name) => riskOf(PRESET_RULES[name]));
    expect(risks.map((risk) => risk?.keepsWish ?? null)).toEqual([true, false, true, false, null]);
    expect(USUAL_LADDER.rule).toBe(PRESET_RULES['careful count']);
    // Nearly four in five of those who pass seven reps of ten: what two of three sets amounts to.
    expect(riskOf(QUICK_COUNT_RULE)?.tooSoon.moved).toBeCloseTo(0.784, 3);
    for (const risk of risks) if (risk) expect(risk.ready.moved).toBeGreaterThan(0.99);
  });

  test('a set that needs no pass passes; one that needs more than it has never does', () => {
    expect(setPassProbability(12, 0, 0.3)).toBe(1);
    expect(setPassProbability(12, 13, 1)).toBe(0);
    expect(operatingOf(QUICK_COUNT_RULE, steady(0), USUAL_OUTLOOK)).toMatchObject({
      ...{ moved: 0, setsToMove: null, meanSets: USUAL_OUTLOOK.withinSets },
    });
  });

  test('one run of the sequential test keeps its stated risk', () => {
    const { p0, alpha } = USUAL_SEQUENTIAL_RULE;
    const random = seededRandom(3);
    const ready = Array.from({ length: 4000 }, () => {
      const reps = Array.from({ length: 400 }, () => (random() < p0 ? 1 : 0));
      return sequentialTest(reps, USUAL_SEQUENTIAL_RULE).state === 'ready';
    }).filter(Boolean).length;
    expect(ready / 4000).toBeLessThan(alpha + 0.01);
  });

  test('the staircase is followed just as it is played in a set', () => {
    const rate = 0.8;
    const [wantedMs, sdMs, reps, athletes] = [10_000, 150, 40, 60] as const;
    // The athlete who passes at the wanted pace with this rate, whose cycles scatter normally.
    const passesAt = (paceMs: number) =>
      normalCdf((paceMs - wantedMs) / sdMs + normalQuantile(rate));
    const random = seededRandom(11);
    const rule = USUAL_STAIRCASE_RULE;
    const moved = Array.from({ length: athletes }, () => {
      for (let set = 0; set < USUAL_OUTLOOK.withinSets; set++) {
        const { thresholdMs } = playStaircase(
          ...([reps, wantedMs + 3 * rule.stepMs, rule] as const),
          (_, paceMs) => random() < passesAt(paceMs),
        );
        if (thresholdMs !== null && thresholdMs <= wantedMs) return set + 1;
      }
      return null;
    });
    const outcome = simulateStaircase(
      ...([rule, steady(rate), { ...USUAL_OUTLOOK, repsPerSet: reps }, athletes] as const),
      seededRandom(11),
    );
    const sets = moved.filter((each) => each !== null);
    expect(outcome.moved).toBeCloseTo(sets.length / athletes, 9);
    expect(outcome.athletes).toBe(athletes);
    expect(outcome.meanSets).toBeCloseTo(
      moved.reduce((sum: number, each) => sum + (each ?? USUAL_OUTLOOK.withinSets), 0) / athletes,
      9,
    );
  });

  test('a learner is moved up in the end, and by then passes more often', () => {
    const learner = { passRate: 0.5, learning: 0.2, ceiling: 0.95 };
    const outcome = operatingOf(QUICK_COUNT_RULE, learner, USUAL_OUTLOOK);
    expect(outcome.moved).toBeGreaterThan(0.9);
    expect(outcome.setsToMove?.[1]).toBeGreaterThan(4);
  });

  test('what is suggested keeps the wish, and no rule that keeps it waits less', () => {
    const found = suggestCount(USUAL_WISH, USUAL_OUTLOOK);
    if (!found.ok) throw new Error(found.problem.allowed);
    expect(found.value.rule).toEqual(PRESET_RULES['careful count']);
    expect(found.value.tooSoon.moved).toBeLessThanOrEqual(USUAL_WISH.risk);
    expect(found.value.ready.moved).toBeGreaterThan(found.value.tooSoon.moved);
    const sequential = suggestSequential(USUAL_WISH, USUAL_OUTLOOK);
    if (!sequential.ok) throw new Error(sequential.problem.allowed);
    const { rule, tooSoon, ready } = sequential.value;
    // It begins anew when it says not ready: one test's risk must be less than the course's.
    expect(rule.alpha).toBeLessThan(USUAL_WISH.risk);
    expect(tooSoon.moved).toBeLessThanOrEqual(USUAL_WISH.risk);
    expect(ready.moved).toBeGreaterThan(0.9);
  });

  test('a wish that no rule can keep, or that contradicts itself, is refused by name', () => {
    const short = { ...USUAL_OUTLOOK, repsPerSet: 2, passesNeeded: 1, withinSets: 60 };
    const strict = { risk: 0.001, tooSoonRate: 0.89, readyRate: 0.9 };
    expect(suggestCount(strict, short)).toMatchObject({ ok: false, problem: { field: 'risk' } });
    expect(suggestCount({ ...USUAL_WISH, tooSoonRate: 0.95 }, USUAL_OUTLOOK)).toMatchObject({
      problem: { field: 'tooSoonRate' },
    });
    expect(suggestSequential({ ...USUAL_WISH, risk: 0.7 }, USUAL_OUTLOOK)).toMatchObject({
      problem: { field: 'risk' },
    });
  });
});

test.each<[Rule, string]>([
  [{ ...QUICK_COUNT_RULE, ofLast: 0 }, 'ofLast'],
  [{ ...QUICK_COUNT_RULE, setsNeeded: 4 }, 'setsNeeded'],
  [{ ...QUICK_COUNT_RULE, distinctDays: 3 }, 'distinctDays'],
  [{ ...USUAL_SEQUENTIAL_RULE, p0: 0 }, 'p0'],
  [{ ...USUAL_SEQUENTIAL_RULE, p1: 0.6 }, 'p1'],
  [{ ...USUAL_SEQUENTIAL_RULE, alpha: 0.5 }, 'alpha'],
  [{ ...USUAL_SEQUENTIAL_RULE, beta: 0 }, 'beta'],
  [{ ...USUAL_STAIRCASE_RULE, passesInARow: 0 }, 'passesInARow'],
  [{ ...USUAL_STAIRCASE_RULE, stepMs: 0 }, 'stepMs'],
  [{ ...USUAL_STAIRCASE_RULE, leastStepMs: 500 }, 'leastStepMs'],
  [{ ...USUAL_STAIRCASE_RULE, reversals: 1 }, 'reversals'],
])('a rule that makes no sense is refused by its field: %j', (rule, field) => {
  expect(checkRule(rule)).toMatchObject({ ok: false, problem: { field } });
});
