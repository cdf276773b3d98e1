import fc from 'fast-check';
import {
  addedReps,
  auditCalls,
  dueMs,
  isLost,
  LEAST_REST_MS,
  PLAIN_CONDITIONS,
  restBefore,
  rotaOf,
  screenKindOf,
  senseOf,
  soundKindOf,
  techniqueWent,
} from '@orthokin/core/drill';
import type { Fault, LeftOutReason } from '@orthokin/core/timing';

describe('when a cue is due', () => {
  const waiting = { readyMs: 5000, foreperiodMs: 1200, lastCueMs: 3000 };

  test("at one's own pace: a foreperiod after home", () => {
    expect(dueMs(null, waiting)).toBe(6200);
  });

  test('at a fixed pace: so long after the cue before, home or not', () => {
    expect(dueMs(2500, waiting)).toBe(5500);
    expect(dueMs(2500, { ...waiting, lastCueMs: null })).toBe(6200);
  });
});

describe('a rota', () => {
  test('everybody works once, then everybody again', () => {
    expect(rotaOf(['x', 'y'], 2).map(({ athleteId, set }) => athleteId + String(set))).toEqual([
      'x1',
      'y1',
      'x2',
      'y2',
    ]);
  });

  test("others' work counts as rest, and changing over takes its time", () => {
    expect(restBefore(20_000, 2, 0)).toBe(40_000);
    expect(restBefore(20_000, 2, 25_000)).toBe(15_000);
    expect(restBefore(20_000, 2, 60_000)).toBe(LEAST_REST_MS);
    expect(restBefore(null, 2, 0)).toBe(LEAST_REST_MS);
  });

  test('nobody ever starts before having rested the ratio', () => {
    fc.assert(
      fc.property(
        fc.nat(60_000),
        fc.constantFrom(1, 2, 4),
        fc.nat(200_000),
        (work, ratio, since) => {
          expect(since + restBefore(work, ratio, since)).toBeGreaterThanOrEqual(work * ratio);
        },
      ),
    );
  });
});

test('what is heard and what is seen are different senses', () => {
  expect(senseOf(PLAIN_CONDITIONS)).toBe('heard');
  expect(senseOf({ cueKinds: ['arrow'] })).toBe('seen');
  expect([screenKindOf({ cueKinds: ['spoken'] }), soundKindOf({ cueKinds: ['spoken'] })]).toEqual([
    null,
    'spoken',
  ]);
});

test('calls are audited: counts, runs, and how guessable they were', () => {
  const audit = auditCalls([...'AABBAABB'], ['A', 'B', 'C']);
  expect(audit).toMatchObject({ longestRun: 2, fairRate: 1 / 3, guessRateMarginal: 0.5 });
  expect(audit.counts).toEqual([
    { target: 'A', count: 4 },
    { target: 'B', count: 4 },
    { target: 'C', count: 0 },
  ]);
});

describe('what is at stake in a set', () => {
  const reading = (faults: Fault[], leftOut: LeftOutReason | null = null) => ({ faults, leftOut });

  test.each<[string, ReturnType<typeof reading>, boolean]>([
    ['a plain rep', reading([]), false],
    ['a fault of form', reading(['lean', 'short of home']), false],
    ['nobody came', reading(['missed'], 'missed'), true],
    ['went early', reading(['false start'], 'false start'), true],
    ['went another way', reading(['wrong way']), true],
    ['moved though nothing was called', reading(['moved on a catch trial'], 'catch'), true],
    ['home cut short where that counts', reading(['short of home'], 'short of home'), true],
    ['struck out, whatever it was', reading(['missed'], 'struck out'), false],
  ])('%s', (_, given, lost) => expect(isLost(given)).toBe(lost));

  test('lost reps add up to the most that is agreed; without a price nothing', () => {
    const lost = [reading(['missed']), reading([]), reading(['wrong way'])];
    expect(addedReps(lost, { reps: 2, most: 10 })).toBe(4);
    expect(addedReps(lost, { reps: 2, most: 3 })).toBe(3);
    expect(addedReps(lost, null)).toBe(0);
  });

  test('technique went when the last two reps both carry a watched fault, whichever', () => {
    const lean = reading(['lean']);
    const flat = reading(['flat feet']);
    const clean = reading(['detour']);
    const watched: Fault[] = ['lean', 'flat feet'];
    expect(techniqueWent([clean, lean, flat], watched)).toBe(true);
    expect(techniqueWent([lean, flat, clean], watched)).toBe(false);
    expect(techniqueWent([lean, reading([], 'struck out'), flat], watched)).toBe(true);
    expect(techniqueWent([lean], watched)).toBe(false);
    expect(techniqueWent([lean, lean], [])).toBe(false);
  });
});
