import {
  beginPlan,
  nowIn,
  paused,
  toBlock,
  usualBlock,
  withPresent,
  type Block,
} from '@orthokin/core/plan';

const names = (n: number): string[] => Array.from({ length: n }, (_, i) => `athlete ${i + 1}`);
const WARM: Block = { ...usualBlock('warm', 'warm-up'), minutes: 5 };
const DRILL: Block = {
  ...usualBlock('drill', 'cued drill'),
  ...{ sets: 2, workS: 20, restS: 40, stations: 1, helpers: ['calls'] },
};
const SESSION = { blocks: [WARM, DRILL], athleteIds: names(4) };
const START = 1_000_000;

test('a block counts down, and over its time until somebody goes on', () => {
  const run = beginPlan(SESSION, START);
  expect(nowIn(SESSION, run, START)).toMatchObject({ leftS: 300, round: null, untilS: null });
  expect(nowIn(SESSION, run, START + 312_000).leftS).toBe(-12);
});

test('turns go by the clock: who works, who is next, how long still', () => {
  const run = toBlock(SESSION, beginPlan(SESSION, START), 1, START);
  const now = nowIn(SESSION, run, START + 25_000);
  expect(now.round?.stations[0]?.works).toBe('athlete 2');
  expect(now.next?.stations[0]?.works).toBe('athlete 3');
  expect(now).toMatchObject({ untilS: 15, roundPlace: 2, leftS: 135 });
  const over = nowIn(SESSION, run, START + 161_000);
  expect(over).toMatchObject({ round: null, next: null, untilS: null, roundPlace: 8, leftS: -1 });
});

test('between two turns, while all rest, it says when the next begins', () => {
  const two = { ...SESSION, athleteIds: names(2) };
  const run = toBlock(two, beginPlan(two, START), 1, START);
  const now = nowIn(two, run, START + 45_000);
  expect([now.round, now.next?.stations[0]?.works, now.untilS]).toEqual([null, 'athlete 1', 15]);
});

test('in a pause no time goes by', () => {
  const run = beginPlan(SESSION, START);
  const stopped = paused(run, START + 10_000);
  expect(nowIn(SESSION, stopped, START + 90_000).leftS).toBe(290);
  const on = paused(stopped, START + 90_000);
  expect(nowIn(SESSION, on, START + 95_000).leftS).toBe(285);
});

test('somebody leaves in the middle: who works stays, the turns to come are without them', () => {
  const run = toBlock(SESSION, beginPlan(SESSION, START), 1, START);
  const less = withPresent(SESSION, run, names(4).slice(1), START + 25_000);
  expect(less.rounds.slice(0, 2)).toEqual(run.rounds.slice(0, 2));
  const works = less.rounds.map(({ stations }) => stations[0]?.works);
  expect(works.filter((id) => id === 'athlete 1')).toHaveLength(1);
  for (const id of names(4).slice(1)) expect(works.filter((one) => one === id)).toHaveLength(2);
  // What comes after is for those who are here.
  expect(toBlock(SESSION, less, 0, START).athleteIds).toHaveLength(3);
});

test('past the last block it is over, before the first there is none', () => {
  const run = beginPlan(SESSION, START);
  expect(toBlock(SESSION, run, 9, START).place).toBe(2);
  expect(toBlock(SESSION, run, -1, START).place).toBe(0);
  expect(nowIn(SESSION, toBlock(SESSION, run, 2, START), START + 5000)).toMatchObject({ leftS: 0 });
});
