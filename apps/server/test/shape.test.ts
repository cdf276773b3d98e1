import 'reflect-metadata';
import { DrillSetBody, PatternBody, RepBody } from '@orthokin/contract';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { blankPattern } from '@orthokin/core/footwork';
import fc from 'fast-check';
import { MOST_PROBLEMS, shapeProblems } from '../src/platform/http/shape.js';

const rep = {
  ...{ ordinal: 1, target: 'A', seenFaults: [], struckOut: false, replaces: null },
  events: [{ name: 'cue', atMs: 0, sdMs: 0, source: 'hand' }],
};
const set = {
  ...{ athleteId: 'a', patternId: 'p', patternVersion: 1, rung: 1, source: 'hand' },
  ...{ startedAt: 'then', day: 'that day', seed: 1, falseStartMs: 100, responseLimitMs: 3000 },
  conditions: PLAIN_CONDITIONS,
  cues: [{ ordinal: 1, target: 'A', foreperiodMs: 1000 }],
};
const fieldsOf = (of: new () => object, given: unknown) =>
  shapeProblems(of, given).map(({ field }) => field);

describe('the shape of what is sent', () => {
  test('is right of what the app sends', () => {
    expect(shapeProblems(RepBody, rep)).toEqual([]);
    expect(shapeProblems(DrillSetBody, set)).toEqual([]);
    const { ...pattern } = blankPattern('Nothing yet');
    expect(shapeProblems(PatternBody, { ...pattern, splitWindowMs: [-60, 120] })).toEqual([]);
  });

  test.each<[string, object, string]>([
    ['a list where an object is', { conditions: [] }, 'conditions'],
    ['a list deep inside', { conditions: { ...PLAIN_CONDITIONS, pace: [] } }, 'conditions.pace'],
    ['an object where a list is', { cues: {} }, 'cues'],
    ['a list of lists', { cues: [[]] }, 'cues[0]'],
    ['nothing', { conditions: null }, 'conditions'],
    ['NUL', { day: '2026-01-01\0' }, 'day'],
    ['half a pair', { day: '\ud800' }, 'day'],
    ['a number without end', { seed: Infinity }, 'seed'],
    ['an unknown field', { colour: 'red' }, 'colour'],
    ['a name of every object', JSON.parse('{"__proto__":{"x":1}}') as object, '__proto__'],
    ['values in a value', { source: { a: { b: 1 } } }, 'source.a'],
  ])('%s is named', (_, change, field) => {
    const given = { ...set } as Record<string, unknown>;
    for (const key of Object.keys(change))
      Object.defineProperty(given, key, {
        value: (change as Record<string, unknown>)[key],
        enumerable: true,
      });
    expect(fieldsOf(DrillSetBody, given)).toEqual([field]);
  });

  test('of a missing field says so', () => {
    const { cues: _, ...without } = set;
    expect(fieldsOf(DrillSetBody, without)).toEqual(['cues']);
  });

  test.each<[string, unknown]>([
    ['many empty elements', { ...rep, events: Array.from({ length: 50_000 }, () => ({})) }],
    [
      'many unknown keys',
      Object.fromEntries(Array.from({ length: 50_000 }, (_, i) => [`k${i}`, 1])),
    ],
    ['a list for a body', []],
    ['a text for a body', 'words'],
  ])('%s are no work', (_, given) => {
    const problems = shapeProblems(RepBody, given);
    expect(problems.length).toBeGreaterThan(0);
    expect(problems.length).toBeLessThanOrEqual(MOST_PROBLEMS);
  });

  test('never throws and never says much, whatever is sent', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 6 }), (given) => {
        expect(shapeProblems(DrillSetBody, given).length).toBeLessThanOrEqual(MOST_PROBLEMS);
      }),
      { numRuns: 300 },
    );
  });
});
