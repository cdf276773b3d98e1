/** @jest-environment jsdom */
import type { PlanReply } from '@orthokin/contract';
import { remember } from '../src/device/preferences.js';
import { asLeft, draftName, plannedOf, type Draft } from '../src/planner/planned.js';

const PLAN: PlanReply = {
  ...{ id: 'plan', name: 'Thursday', day: '2026-11-26', startsAt: '17:00', minutes: 60 },
  ...{ athleteIds: ['a', 'b'], blocks: [], revision: 4 },
};
const left = (from: number): void => {
  const draft: Draft = { planned: { ...plannedOf(PLAN), name: 'Changed here' }, from };
  remember(draftName(PLAN.id), draft);
};

afterEach(() => localStorage.clear());

test('a plan nobody changed here is as the server has it', () => {
  expect(asLeft(PLAN)).toEqual({ planned: plannedOf(PLAN), revision: 4 });
  expect(asLeft(PLAN).planned).not.toHaveProperty('revision');
});

test('what was not sent yet is gone on with, also while a change before it is on its way', () => {
  for (const [from, revision] of [
    [4, 4],
    [5, 4],
    // That change has arrived.
    [5, 5],
  ] as const) {
    left(from);
    const { planned, revision: of } = asLeft({ ...PLAN, revision });
    expect(planned.name).toBe('Changed here');
    expect(of).toBe(revision);
  }
});

test('a draft of a plan that was changed since is not lost: it is a change of what it was made from', () => {
  left(3);
  expect(asLeft(PLAN)).toEqual({
    planned: { ...plannedOf(PLAN), name: 'Changed here' },
    revision: 3,
  });
});

test('a draft that arrived without anybody here hearing of it is none any more', () => {
  remember(draftName(PLAN.id), { planned: plannedOf(PLAN), from: 3 } satisfies Draft);
  expect(asLeft(PLAN)).toEqual({ planned: plannedOf(PLAN), revision: 4 });
});
