import type { HeldSessionReply, PlanReply } from '@orthokin/contract';
import { beginPlan, toBlock, usualBlock, withPresent } from '@orthokin/core/plan';
import { NOTHING_REACHED } from '../src/device/running-plan.js';
import { heldSessionOf } from '../src/planner/run/held-session.js';
import { counted, reachedBefore, scoresOf } from '../src/planner/run/scores.js';
import { reachedWords } from '../src/words/game.js';
import { effortWords, noteWords, riseWords } from '../src/words/session.js';

const MINUTE = 60_000;
const PLAN: PlanReply = {
  ...{ id: 'plan', name: 'Thursday', day: '2026-03-05', startsAt: '17:00', minutes: 60 },
  blocks: [usualBlock('warm', 'warm-up'), usualBlock('play', 'play')],
  ...{ athleteIds: ['anna', 'ben'], revision: 1 },
};

test('a session ends when its last block does, not when somebody says how hard it was', () => {
  const start = Date.parse('2026-03-05T17:00:00.000Z');
  let run = beginPlan(PLAN, start);
  run = withPresent(PLAN, run, ['anna'], start + 10 * MINUTE);
  run = toBlock(PLAN, run, 1, start + 12 * MINUTE);
  const running = { sessionId: 'held', run, ...NOTHING_REACHED };
  expect(heldSessionOf(PLAN, running, start + 20 * MINUTE).endedAt).toBe(
    '2026-03-05T17:20:00.000Z',
  );
  const over = toBlock(PLAN, run, 2, start + 30 * MINUTE);
  const held = heldSessionOf(PLAN, { ...running, run: over }, start + 90 * MINUTE);
  expect(held.endedAt).toBe('2026-03-05T17:30:00.000Z');
  expect(held.blocks.map(({ kind, startedAt }) => [kind, startedAt])).toEqual([
    ['warm-up', '2026-03-05T17:00:00.000Z'],
    ['play', '2026-03-05T17:12:00.000Z'],
  ]);
  expect(held.attended).toEqual([
    { athleteId: 'anna', minutes: 30, effort: null, scores: [] },
    { athleteId: 'ben', minutes: 10, effort: null, scores: [] },
  ]);
});

test('how hard it was is said from least to most, of those who were asked', () => {
  expect(effortWords([4, null, 9, 6])).toContain('4 to 9');
  expect(effortWords([5, 5])).not.toContain(' to ');
  expect(effortWords([null])).not.toMatch(/\d/);
});

test('a heavier week names what jumped, by how much, and the caution once', () => {
  const words = riseWords([
    { name: 'Anna', rise: { figure: 'effort', now: 600, usual: 312.5 } },
    { name: 'Ben', rise: { figure: 'jumps', now: 40, usual: 20 } },
  ]);
  expect(words).toMatch(/Anna \(600 .*313\).*Ben \(40 jumps, usually 20\)/);
  expect(words.match(/injury/g)).toHaveLength(1);
});

test('a note is the fault as the club calls it, and the words', () => {
  const nameOf = () => 'tipping';
  expect(noteWords({ fault: 'lean', text: '' }, nameOf)).toBe('tipping');
  expect(noteWords({ fault: 'lean', text: 'At the left.' }, nameOf)).toBe('tipping: At the left');
});

describe('what was counted', () => {
  const turn = (athleteId: string, place: number) => ({ blockId: 'b', athleteId, turn: place });

  test('the best turn of each counts; nothing falls below none', () => {
    let counts = counted([], turn('anna', 1), 1);
    counts = counted(counts, turn('anna', 1), 1);
    counts = counted(counts, turn('anna', 3), 1);
    counts = counted(counts, turn('ben', 2), -1);
    expect(scoresOf({ ...NOTHING_REACHED, counts }, 'anna')).toEqual([{ blockId: 'b', count: 2 }]);
    expect(scoresOf({ ...NOTHING_REACHED, counts }, 'ben')).toEqual([{ blockId: 'b', count: 0 }]);
    expect(scoresOf({ ...NOTHING_REACHED, counts }, 'cleo')).toEqual([]);
  });

  test('of a game the rounds that were won, the last one too where somebody has won it', () => {
    const round = { courts: [['anna', 'ben'] as const], waits: [] };
    const game = {
      way: 'winner stays' as const,
      played: [
        { round, winners: ['ben'] },
        { round, winners: ['ben'] },
      ],
      on: { round, winners: ['anna'] },
    };
    expect(scoresOf({ ...NOTHING_REACHED, games: { g: game } }, 'ben')).toEqual([
      { blockId: 'g', count: 2 },
    ]);
    expect(scoresOf({ ...NOTHING_REACHED, games: { g: game } }, 'anna')).toEqual([
      { blockId: 'g', count: 1 },
    ]);
  });

  test('of teams what their team made; of catching how far it was caught from, in cm', () => {
    const teams = {
      t: [
        { athleteIds: ['anna', 'cleo'], points: 3 },
        { athleteIds: ['ben'], points: 1 },
      ],
    };
    const calls = {
      c: [
        { toCatch: ['anna'], missed: [] },
        { toCatch: ['ben'], missed: ['ben'] },
      ],
    };
    const reached = { ...NOTHING_REACHED, teams, calls };
    expect(scoresOf(reached, 'anna')).toEqual([
      { blockId: 't', count: 3 },
      { blockId: 'c', count: 100 },
    ]);
    expect(scoresOf(reached, 'ben').at(-1)).toEqual({ blockId: 'c', count: 0 });
    expect(scoresOf(reached, 'cleo')).toEqual([{ blockId: 't', count: 3 }]);
  });

  test('what was reached is said in what it is counted in', () => {
    const anna = [{ name: 'Anna', count: 12 }];
    expect(reachedWords(anna, { game: 'off a wall' })).toBe('Anna 12 cm');
    expect(reachedWords(anna, { game: 'teams' })).toBe('Anna 12');
    expect(reachedWords(anna, { wanted: 20 })).toBe('Anna 12 of 20');
  });

  test('what was reached before is that of blocks of the same kind and name, the newest first', () => {
    const held = (blockId: string, title: string, count: number): HeldSessionReply => ({
      ...{ id: blockId, planId: null, name: 'Thursday', day: '2026-03-05' },
      ...{ startedAt: '2026-03-05T17:00:00Z', endedAt: '2026-03-05T18:00:00Z' },
      blocks: [
        {
          ...{ blockId, kind: 'challenge', title },
          ...{ startedAt: '2026-03-05T17:00:00Z', endedAt: '2026-03-05T17:05:00Z' },
        },
      ],
      attended: [{ athleteId: 'anna', minutes: 60, effort: 5, scores: [{ blockId, count }] }],
    });
    const sessions = [held('x', 'Wall', 11), held('y', 'Wall', 14), held('z', 'Drop', 30)];
    const block = { kind: 'challenge' as const, title: 'Wall' };
    expect(reachedBefore(sessions, block, 'anna')).toEqual({ best: 14, last: 11 });
    expect(reachedBefore(sessions, block, 'ben')).toBeNull();
  });
});
