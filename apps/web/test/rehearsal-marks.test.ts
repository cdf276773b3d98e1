import type { RehearsalCall } from '@orthokin/core/footwork';
import {
  lookedAt,
  markOf,
  openPoints,
  rehearsalSentence,
  turned,
  type Mark,
} from '../src/floor/rehearse/marks.js';

const LOAD = { target: 'A', manner: 'feet only', position: 'load' } as const;
const mark = (target: string, point: string, holds: boolean): Mark => ({
  ...LOAD,
  ...{ target, point, holds },
});

test('a check point turns from not looked at to holds, does not hold, and back', () => {
  const seen = [true, false, null];
  let marks: Mark[] = [];
  expect(markOf(marks, LOAD, 'heels up')).toBeNull();
  for (const expected of seen) {
    marks = turned(marks, LOAD, 'heels up');
    expect(markOf(marks, LOAD, 'heels up')).toBe(expected);
  }
  expect(marks).toEqual([]);
});

test('marks of another hold, target or point are left as they are', () => {
  const others = [
    mark('B', 'heels up', false),
    { ...mark('A', 'heels up', true), position: 'stance' as const },
  ];
  const marks = turned(others, LOAD, 'heels up');
  expect(marks).toEqual([...others, mark('A', 'heels up', true)]);
  expect(markOf(marks, { ...LOAD, target: 'B' }, 'heels up')).toBe(false);
});

test('only where the athlete holds still is there something to look at', () => {
  const call = (of: string) =>
    ({ target: 'A', manner: 'feet only', call: of }) as unknown as RehearsalCall;
  expect(lookedAt(call('through'))).toBeNull();
  expect(lookedAt(call('load'))).toEqual(LOAD);
});

test('what did not hold comes the most failed first, then the greater share', () => {
  const marks = [
    mark('A', 'knee over foot', false),
    mark('B', 'knee over foot', true),
    mark('A', 'heels up', false),
    mark('B', 'heels up', false),
    mark('A', 'eyes level', true),
    mark('C', 'racket up', false),
  ];
  expect(openPoints(marks)).toEqual([
    { position: 'load', point: 'heels up', failed: 2, of: 2, targets: ['A', 'B'] },
    { position: 'load', point: 'racket up', failed: 1, of: 1, targets: ['C'] },
    { position: 'load', point: 'knee over foot', failed: 1, of: 2, targets: ['A'] },
  ]);
  expect(rehearsalSentence(marks)).toContain('2 of 6');
  expect(rehearsalSentence(marks)).toContain('heels up');
  expect(rehearsalSentence([])).not.toContain('0');
  expect(rehearsalSentence([mark('A', 'eyes level', true)])).toContain('1');
});
