import fc from 'fast-check';
import {
  decide as decideOn,
  demandOf,
  QUICK_COUNT_RULE,
  judgeSet,
  ladderPlace,
  limitingGate,
  standingMoves,
  type JudgedSet,
  type MoveBasis,
  type SetOutcome,
} from '@orthokin/core/progress';
import { USUAL_RUNG, type Rung } from '@orthokin/core/pattern';
import { readRep, type RepReading } from '@orthokin/core/timing';

const rung: Rung = {
  ...USUAL_RUNG,
  number: 1,
  name: 'Mixed',
  targets: ['A', 'B'],
  limitsMs: { reaction: 300, recovery: 900 },
};

function reading(
  ordinal: number,
  reactionMs: number,
  recoveryMs: number | null,
  sdMs = 0,
): RepReading {
  const at = (name: 'cue' | 'firstMove' | 'action' | 'home', atMs: number) => ({
    name,
    atMs,
    sdMs: name === 'cue' ? 0 : sdMs,
    source: 'hand' as const,
  });
  const events = [at('cue', 0), at('firstMove', reactionMs), at('action', 1000)];
  if (recoveryMs !== null) events.push(at('home', 1000 + recoveryMs));
  return readRep(
    { ordinal, target: 'A', events, seenFaults: [], struckOut: false },
    { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-20, 120] },
  );
}
const setOf = (...times: [number, number | null][]) =>
  times.map(([reaction, recovery], i) => reading(i + 1, reaction, recovery));
const repeated = (n: number, reaction: number, recovery: number): [number, number][] =>
  Array.from({ length: n }, () => [reaction, recovery]);

describe('a set against its rung, with exact times', () => {
  test('8 of 10 inside every limit pass where 8 are needed', () => {
    const judged = judgeSet(setOf(...repeated(8, 250, 800), ...repeated(2, 250, 950)), rung);
    expect(judged.outcome).toBe('passed');
    expect(judged.together).toMatchObject({ passes: 8, needed: 8 });
    expect(limitingGate(judged)).toBeNull();
  });

  test('7 of 10 do not, and the limiting gate says by how much', () => {
    const judged = judgeSet(setOf(...repeated(7, 250, 800), ...repeated(3, 250, 950)), rung);
    expect(judged.outcome).toBe('not passed');
    expect(limitingGate(judged)).toMatchObject({
      gate: 'recovery',
      passes: 7,
      needed: 8,
      overMs: 50,
    });
  });

  test('limits are kept together: two short gates on different reps fail the set', () => {
    const judged = judgeSet(
      setOf(...repeated(6, 250, 800), ...repeated(2, 350, 800), ...repeated(2, 250, 950)),
      rung,
    );
    expect(judged.times.map(({ verdict }) => verdict)).toEqual(['pass', 'pass']);
    expect(judged.outcome).toBe('not passed');
    expect(limitingGate(judged)).not.toBeNull();
  });

  test('of two failing gates the one further over its limit is named', () => {
    const judged = judgeSet(setOf(...repeated(10, 310, 1200)), rung);
    expect(limitingGate(judged)).toMatchObject({ gate: 'recovery', overMs: 300 });
  });

  test('too few valid reps decide nothing; untimed reps are counted by what they lack', () => {
    const judged = judgeSet(setOf(...repeated(7, 250, 800), [250, null], [250, null]), rung);
    expect(judged).toMatchObject({
      outcome: 'too few reps',
      validReps: { reps: 7, needed: 8, untimed: { recovery: 2 }, met: false },
    });
    expect(limitingGate(judged)).toMatchObject({ gate: 'valid reps' });
  });

  test('going early on more than a tenth of the cues holds the set, however fast it was', () => {
    const judged = judgeSet(setOf(...repeated(9, 250, 800), ...repeated(2, 50, 800)), rung);
    expect(judged.outcome).toBe('not passed');
    expect(limitingGate(judged)).toMatchObject({
      gate: 'false starts',
      falseStarts: 2,
      allowed: 1,
    });
  });

  test('no reps at all are too few', () => {
    expect(judgeSet([], rung).outcome).toBe('too few reps');
  });
});

describe('a set timed by hand', () => {
  const byHand = (reaction: number) =>
    judgeSet(
      Array.from({ length: 10 }, (_, i) => reading(i + 1, reaction, 700, 45)),
      rung,
    );

  test('passes when far inside, fails when far outside, and is honest between', () => {
    expect(byHand(200).outcome).toBe('passed');
    expect(byHand(290).outcome).toBe('too close to call');
    expect(byHand(420).outcome).toBe('not passed');
  });

  test('one quicker rep never makes the set less likely to pass', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 150, max: 450 }), { minLength: 8, maxLength: 14 }),
        fc.nat(13),
        (times, which) => {
          const probability = (list: number[]) =>
            judgeSet(
              list.map((ms, i) => reading(i + 1, ms, 700, 45)),
              rung,
            ).together.probability;
          const quicker = times.map((ms, i) => (i === which % times.length ? ms - 40 : ms));
          expect(probability(quicker)).toBeGreaterThanOrEqual(probability(times) - 1e-12);
        },
      ),
    );
  });
});

describe('the count rule', () => {
  const judgements = {
    passed: judgeSet(setOf(...repeated(10, 250, 800)), rung),
    'not passed': judgeSet(setOf(...repeated(10, 250, 1000)), rung),
    'too few reps': judgeSet(setOf(...repeated(3, 250, 800)), rung),
    'too close to call': judgeSet(
      Array.from({ length: 10 }, (_, i) => reading(i, 290, 700, 45)),
      rung,
    ),
  } satisfies Record<SetOutcome, unknown>;
  const sets = (...list: [SetOutcome, string][]): JudgedSet[] =>
    list.map(([outcome, day], i) => ({ setId: String(i), day, judgement: judgements[outcome] }));
  const decide = (list: JudgedSet[], above = true) =>
    decideOn(
      { sets: list, rung, next: above ? { ...rung, number: 2 } : null, hasRungBelow: false },
      QUICK_COUNT_RULE,
    );

  test('moves up after 2 of the last 3 sets on 2 days', () => {
    expect(decide(sets(['passed', '1'], ['not passed', '1'], ['passed', '2'])).answer).toBe(
      'move up',
    );
  });

  test('two on one day are not enough', () => {
    expect(decide(sets(['passed', '1'], ['passed', '1']))).toMatchObject({
      answer: 'not enough reps yet',
      state: { daysPassed: 1 },
    });
  });

  test('forgets sets older than the last three', () => {
    const old = sets(['passed', '1'], ['not passed', '2'], ['not passed', '3'], ['passed', '4']);
    expect(decide(old)).toMatchObject({
      answer: 'not enough reps yet',
      state: { setsPassed: 1, setsSeen: 3 },
    });
  });

  test('a set broken off early pushes none out', () => {
    const broken = sets(
      ['passed', '1'],
      ['not passed', '1'],
      ['too few reps', '2'],
      ['passed', '2'],
    );
    expect(decide(broken).answer).toBe('move up');
  });

  test('stays when the newest set did not pass, naming what limits it', () => {
    const decision = decide(sets(['passed', '1'], ['not passed', '2']));
    expect(decision).toMatchObject({ answer: 'stay', limiting: { gate: 'recovery', overMs: 100 } });
  });

  test.each<SetOutcome>(['too few reps', 'too close to call'])(
    '%s is not enough yet',
    (outcome) => {
      expect(decide(sets([outcome, '1'])).answer).toBe('not enough reps yet');
    },
  );

  test('nothing run is not enough; on the top rung a met rule stays', () => {
    expect(decide([]).answer).toBe('not enough reps yet');
    expect(decide(sets(['passed', '1'], ['passed', '2']), false)).toMatchObject({
      answer: 'stay',
      because: 'top of the ladder',
    });
  });

  test('one more passed set never turns move up into anything else', () => {
    const outcome = fc.constantFrom<SetOutcome>(
      'passed',
      'not passed',
      'too few reps',
      'too close to call',
    );
    const history = fc.array(fc.tuple(outcome, fc.constantFrom('1', '2', '3')), { maxLength: 6 });
    fc.assert(
      fc.property(history, (list) => {
        const before = decide(sets(...list));
        for (const day of ['3', '4'])
          if (before.answer === 'move up')
            expect(decide(sets(...list, ['passed', day])).answer).toBe('move up');
      }),
    );
  });
});

describe('the place on the ladder', () => {
  const move = (toRung: number, basis: MoveBasis = 'rule') => ({
    toRung,
    basis,
  });

  test('is rung 1 before any move, and where the newest one led after', () => {
    expect(ladderPlace([])).toEqual({ rung: 1, by: null });
    expect(ladderPlace([move(2), move(3)])).toMatchObject({ rung: 3, by: { toRung: 3 } });
  });

  test('a move taken back leaves the athlete there by the move before it', () => {
    expect(ladderPlace([move(2), move(3), move(2, 'undo')])).toEqual({ rung: 2, by: move(2) });
    expect(ladderPlace([move(2), move(1, 'undo')])).toEqual({ rung: 1, by: null });
    expect(standingMoves([move(2), move(3), move(2, 'undo')])).toEqual([move(2)]);
    expect(standingMoves([move(1, 'undo')])).toEqual([]);
  });
});

describe('how it was done', () => {
  const faulty = (n: number, of: number) =>
    setOf(...repeated(of, 250, 800)).map((each, i) =>
      i < n ? { ...each, faults: ['narrow base' as const] } : each,
    );

  test('more than a fifth of the reps with a fault that is looked for fail the set', () => {
    expect(judgeSet(faulty(2, 10), rung, ['narrow base']).outcome).toBe('passed');
    const judged = judgeSet(faulty(3, 10), rung, ['narrow base']);
    expect(judged).toMatchObject({
      outcome: 'not passed',
      technique: { clean: 7, needed: 8, met: false },
    });
    expect(limitingGate(judged)).toMatchObject({ gate: 'technique' });
  });

  test('a fault that nobody watches for holds nobody back', () => {
    expect(judgeSet(faulty(5, 10), rung, ['detour']).technique.met).toBe(true);
    expect(judgeSet(faulty(5, 10), rung).outcome).toBe('passed');
  });

  test('catch trials that were not held fail it; a set without any has no such gate', () => {
    const caught = (moved: boolean) =>
      readRep(
        {
          ...{ ordinal: 11, target: 'A', seenFaults: [], struckOut: false },
          events: moved
            ? [
                { name: 'cue', atMs: 0, sdMs: 0, source: 'hand' },
                { name: 'firstMove', atMs: 200, sdMs: 0, source: 'hand' },
              ]
            : [],
        },
        { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-20, 120] },
        'catch',
      );
    const plain = setOf(...repeated(10, 250, 800));
    expect(judgeSet(plain, rung).held).toBeNull();
    expect(judgeSet([...plain, caught(false)], rung).outcome).toBe('passed');
    const judged = judgeSet([...plain, caught(true)], rung);
    expect(judged.outcome).toBe('not passed');
    expect(limitingGate(judged)).toMatchObject({ gate: 'catch trials', held: 0, trials: 1 });
  });

  test('a spread is judged where it is asked for', () => {
    const wide = setOf(...repeated(5, 250, 400), ...repeated(5, 250, 900));
    expect(judgeSet(wide, rung).spread).toBeNull();
    const judged = judgeSet(wide, { ...rung, mostSpread: 0.1 });
    expect(judged).toMatchObject({ outcome: 'not passed', spread: { met: false } });
    expect(limitingGate(judged)).toMatchObject({ gate: 'spread' });
    expect(judgeSet(wide, { ...rung, mostSpread: 0.9 }).outcome).toBe('passed');
  });

  test('a rep is a pass or not for every gate at once; going early is none', () => {
    const judged = judgeSet(
      [...setOf([250, 800], [50, 800], [250, 950], [250, null]), ...faulty(1, 1)],
      rung,
      ['narrow base'],
    );
    expect(judged.chances).toEqual([1, 0, 0, 0]);
  });

  test('growing slower by a tenth beyond chance is a steep fade', () => {
    const slowing = (step: number) =>
      judgeSet(
        setOf(...Array.from({ length: 12 }, (_, i) => [250, 800 + step * i] as [number, number])),
        rung,
      ).fade;
    expect(slowing(40)?.isSteep).toBe(true);
    expect(slowing(2)?.isSteep).toBe(false);
    expect(judgeSet(setOf([250, 800]), rung).fade).toBeNull();
  });
});

describe('the gates over any set', () => {
  const anyRep = fc.record({
    reaction: fc.integer({ min: 20, max: 500 }),
    recovery: fc.option(fc.integer({ min: 500, max: 1400 })),
    sdMs: fc.constantFrom(0, 5, 45),
  });
  const anySet = fc
    .array(anyRep, { maxLength: 20 })
    .map((reps) =>
      reps.map(({ reaction, recovery, sdMs }, i) => reading(i + 1, reaction, recovery, sdMs)),
    );

  test('every judged rep has one verdict a gate, and chances are chances', () => {
    fc.assert(
      fc.property(anySet, (readings) => {
        const { times, validReps, together } = judgeSet(readings, rung);
        for (const { passes, fails, tooClose, probability } of times) {
          expect(passes + fails + tooClose).toBe(validReps.reps);
          expect(probability).toBeGreaterThanOrEqual(0);
          expect(probability).toBeLessThanOrEqual(1);
        }
        expect(together.probability).toBeLessThanOrEqual(
          Math.min(...times.map(({ probability }) => probability)) + 1e-9,
        );
      }),
    );
  });

  test('a set has a limiting gate exactly when it did not pass', () => {
    fc.assert(
      fc.property(anySet, (readings) => {
        const judged = judgeSet(readings, rung);
        expect(limitingGate(judged) === null).toBe(judged.outcome === 'passed');
      }),
    );
  });

  test('easing every limit never turns a passed set into another', () => {
    const eased: Rung = { ...rung, limitsMs: { reaction: 330, recovery: 990 } };
    fc.assert(
      fc.property(anySet, (readings) => {
        if (judgeSet(readings, rung).outcome === 'passed')
          expect(judgeSet(readings, eased).outcome).toBe('passed');
      }),
    );
  });

  test('with exact times the outcome is plain counting', () => {
    const exact = fc
      .array(fc.tuple(fc.integer({ min: 150, max: 450 }), fc.integer({ min: 600, max: 1200 })), {
        minLength: 8,
        maxLength: 20,
      })
      .map((times) => setOf(...times));
    fc.assert(
      fc.property(exact, (readings) => {
        const inside = readings.filter(
          ({ durations }) =>
            (durations.reaction?.ms ?? Infinity) <= 300 &&
            (durations.recovery?.ms ?? Infinity) <= 900,
        ).length;
        const enough = inside >= Math.ceil(readings.length * 0.8 - 1e-9);
        expect(judgeSet(readings, rung).outcome).toBe(enough ? 'passed' : 'not passed');
      }),
    );
  });

  test('a rung without limits asks only for valid reps', () => {
    const open: Rung = { ...rung, limitsMs: {} };
    expect(judgeSet(setOf(...repeated(8, 400, 2000)), open).outcome).toBe('passed');
    expect(judgeSet(setOf(...repeated(7, 400, 2000)), open).outcome).toBe('too few reps');
  });
});

describe('what the lost reps say of the demand', () => {
  const lost = (n: number) => Array.from({ length: 40 }, (_, i) => (i < n ? 0 : 1));
  test.each([
    [1, 'too easy'],
    [2, 'about right'],
    [12, 'about right'],
    [13, 'much asked'],
  ])('%d of 40 is %s', (n, demand) => {
    expect(demandOf(lost(n))).toEqual({ demand, missed: expect.closeTo(n / 40, 12) as number });
  });
  test('nothing of fewer than twenty', () => {
    expect(demandOf(lost(8).slice(0, 19))).toBeNull();
  });
});
