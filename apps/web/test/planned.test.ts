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
  expect(asLeft(PLAN)).toEqual(plannedOf(PLAN));
  expect(asLeft(PLAN)).not.toHaveProperty('revision');
});

test('what was not sent yet is gone on with, also while a change before it is on its way', () => {
  left(4);
  expect(asLeft(PLAN).name).toBe('Changed here');
  left(5);
  expect(asLeft(PLAN).name).toBe('Changed here');
  // That change has arrived.
  expect(asLeft({ ...PLAN, revision: 5 }).name).toBe('Changed here');
});

test('a draft of a plan that was changed since is not laid over it', () => {
  left(3);
  expect(asLeft(PLAN).name).toBe('Thursday');
});
