import fc from 'fast-check';
import {
  auditCalls,
  dueMs,
  LEAST_REST_MS,
  PLAIN_CONDITIONS,
  restBefore,
  rotaOf,
  screenKindOf,
  senseOf,
  soundKindOf,
} from '@orthokin/core/drill';

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
