import type { PlanReply } from '@orthokin/contract';
import { beginPlan, toBlock, usualBlock, withPresent } from '@orthokin/core/plan';
import { heldSessionOf } from '../src/planner/run/held-session.js';
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
  const running = { sessionId: 'held', run };
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
    { athleteId: 'anna', minutes: 30, effort: null },
    { athleteId: 'ben', minutes: 10, effort: null },
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
