import { selfChecked } from '../src/plan/index.js';

test('what was asked is counted, and what did not hold is named in its order', () => {
  expect(selfChecked([])).toBeNull();
  const checks = [
    { ask: 'a', holds: false },
    { ask: 'b', holds: true },
    { ask: 'c', holds: false },
  ];
  expect(selfChecked(checks)).toEqual({ held: 1, asked: 3, missed: ['a', 'c'] });
});
