import { piecemeal } from '../src/platform/work/piecemeal.js';

/** Works for so long without giving way. */
const busyFor = (ms: number): void => {
  const until = performance.now() + ms;
  while (performance.now() < until);
};

test('something is made of each, in their order, each with its place', async () => {
  expect(await piecemeal(['a', 'b', 'c'], (one, index) => `${one}${index}`)).toEqual([
    'a0',
    'b1',
    'c2',
  ]);
  expect(await piecemeal([], () => 1)).toEqual([]);
});

test('others have their turn before all of it is done', async () => {
  let turns = 0;
  const other = setInterval(() => (turns += 1), 0);
  const turnsAt = await piecemeal(Array(10).fill(0), () => {
    busyFor(10);
    return turns;
  });
  clearInterval(other);
  expect(turnsAt[0]).toBe(0);
  expect(turnsAt.at(-1)).toBeGreaterThanOrEqual(3);
});

test('what cannot be made is heard of by whoever asked', async () => {
  const broken = piecemeal([1, 0], (one) => {
    if (one === 0) throw new Error('no');
    return one;
  });
  await expect(broken).rejects.toThrow('no');
});
