import { TYPICAL_ATHLETE } from '@orthokin/core/simulation';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { DEFAULT_CHOICES, planDrill, type DrillChoices } from '../src/floor/set-up/plan-drill.js';
import type { LadderSettingsBody } from '@orthokin/contract';
import { USUAL_LADDER } from '@orthokin/core/progress';
import { PLAN } from './plan.js';

const CLUB = { clubId: 'club', name: 'Club' };
const SETUP = {
  athlete: PLAN.athlete,
  pattern: PLAN.pattern,
  ownLimits: [],
  ladder: USUAL_LADDER as LadderSettingsBody,
  rung: 1,
  sessionsBefore: 4,
  simulated: TYPICAL_ATHLETE,
};
const CHOICES: DrillChoices = { ...DEFAULT_CHOICES, reps: 12 };
const START = new Date(2026, 2, 1, 23, 59).getTime();

function plan(seed: number, choices: Parameters<typeof planDrill>[2] = CHOICES) {
  const made = planDrill(CLUB, SETUP, choices, seed, START);
  if (!made.ok) throw new Error(made.problem.field);
  return made.value;
}

test('a plan holds all that a set needs without a network', () => {
  expect(plan(1)).toMatchObject({
    clubId: 'club',
    athlete: PLAN.athlete,
    rung: 1,
    seed: 1,
    falseStartMs: 100,
    responseLimitMs: 3000,
    sessionsBefore: 4,
    reps: 12,
    conditions: PLAIN_CONDITIONS,
  });
});

test('the day is the calendar day of the device, however late in it', () => {
  expect(plan(1).day).toBe('2026-03-01');
});

test('the same seed cues the same set; every plan is a set of its own', () => {
  expect(plan(5).cues).toEqual(plan(5).cues);
  expect(plan(5).cues).not.toEqual(plan(6).cues);
  expect(plan(5).id).not.toBe(plan(5).id);
});

test('cues call only targets in play, within the foreperiods', () => {
  for (const { target, foreperiodMs } of plan(9).cues) {
    expect(['A', 'B']).toContain(target);
    expect(foreperiodMs).toBeGreaterThanOrEqual(PLAIN_CONDITIONS.foreperiod.leastMs);
    expect(foreperiodMs).toBeLessThanOrEqual(PLAIN_CONDITIONS.foreperiod.mostMs);
  }
});

test('a set that cannot be is refused with the field', () => {
  const none = planDrill(CLUB, SETUP, { ...CHOICES, reps: 0 }, 1, START);
  expect(none).toMatchObject({ ok: false, problem: { field: 'reps' } });
  const nowhere = planDrill(CLUB, { ...SETUP, rung: 9 }, CHOICES, 1, START);
  expect(nowhere).toMatchObject({ ok: false, problem: { field: 'targets' } });
});
