import { TYPICAL_ATHLETE } from '@orthokin/core/simulation';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import {
  conditionsFor,
  NOTHING_AT_STAKE,
  USUAL_CHOICES,
  onRungsFloor,
  planDrill,
  restRatioOf,
  withEased,
  type DrillChoices,
} from '../src/floor/plan-drill.js';
import { easedOf, easedParts } from '../src/floor/set-up/eased-address.js';
import type { DrillSetupReply, LadderSettingsBody } from '@orthokin/contract';
import type { Rung } from '@orthokin/core/pattern';
import { EFFORTS, USUAL_LADDER } from '@orthokin/core/progress';
import { PLAN } from './plan.js';

const CLUB = { clubId: 'club', name: 'Club', sport: '', unit: 'metres' as const, faults: [] };
const SETUP = {
  athlete: PLAN.athlete,
  pattern: PLAN.pattern,
  worksOn: { id: PLAN.pattern.id, name: PLAN.pattern.name },
  ownLimits: [],
  ladder: USUAL_LADDER as LadderSettingsBody,
  rung: 1,
  usualMs: {},
  sessionsBefore: 4,
  built: { shoulderM: 'pattern', strideM: 'pattern', reachM: 'pattern' } as const,
  watched: [],
  care: { said: [], bornOn: null, emergency: null, lastDay: null, faultsLately: [] },
  simulated: TYPICAL_ATHLETE,
};
const CHOICES: DrillChoices = { ...USUAL_CHOICES, reps: 12 };
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

test('a pressure ladder has a price on lost reps, cued already; the set’s own cues stay as they are', () => {
  const pressure = { ...SETUP, ladder: { ...SETUP.ladder, effort: 'pressure' as const } };
  const made = planDrill(CLUB, pressure, CHOICES, 5, START);
  if (!made.ok) throw new Error(made.problem.field);
  const { reps, cues, conditions } = made.value;
  expect(conditions.lossCost).toEqual({ reps: 1, most: 5 });
  expect([reps, cues.length]).toEqual([12, 17]);
  expect(cues.slice(0, 12)).toEqual(plan(5).cues);
  const without = { ...CHOICES, conditions: { ...CHOICES.conditions, ...NOTHING_AT_STAKE } };
  expect(planDrill(CLUB, pressure, without, 5, START)).toMatchObject({
    value: { conditions: NOTHING_AT_STAKE, cues: plan(5).cues },
  });
});

describe('what a rung asks is what is run', () => {
  const asking = (change: Partial<Omit<Rung, 'targetLimits'>>): DrillSetupReply => ({
    ...SETUP,
    pattern: {
      ...PLAN.pattern,
      rungs: PLAN.pattern.rungs.map((rung) =>
        rung.number === 1 ? { ...rung, ...change, targets: [...rung.targets] } : rung,
      ),
    },
  });

  test('its order and its catch and switched cues, until the coach chooses others', () => {
    const setup = asking({ order: 'chained', catchShare: 0.25, switchShare: 0.1 });
    expect(conditionsFor(setup, CHOICES)).toMatchObject({
      ...{ order: 'chained', catchShare: 0.25, switchShare: 0.1 },
    });
    expect(conditionsFor(setup, { ...CHOICES, asRung: false })).toEqual({
      ...CHOICES.conditions,
      ...EFFORTS.quality.stakes,
    });
    const made = planDrill(CLUB, setup, CHOICES, 1, START);
    if (!made.ok) throw new Error(made.problem.field);
    expect(made.value.cues.filter((cue) => cue.catch)).toHaveLength(3);
    expect(made.value.conditions.order).toBe('chained');
  });

  test('limits of the athlete’s own go along with the set; the rung’s own do not need to', () => {
    const own = planDrill(CLUB, { ...SETUP, ownLimits: [1] }, CHOICES, 1, START);
    expect(own).toMatchObject({ value: { limitsMs: { reaction: 350, recovery: 1100 } } });
    expect(plan(1).limitsMs).toBeNull();
  });

  test('its floor: every target nearer or farther, nothing else moved', () => {
    const half = onRungsFloor(asking({ floorScale: 0.5 }));
    for (const [i, { at, letter }] of half.pattern.targets.entries()) {
      const full = PLAN.pattern.targets[i];
      expect(letter).toBe(full?.letter);
      expect(at.x).toBeCloseTo(0.5 * (full?.at.x ?? NaN), 12);
      expect(at.y).toBeCloseTo(0.5 * (full?.at.y ?? NaN), 12);
    }
    expect(onRungsFloor(SETUP)).toEqual(SETUP);
  });

  test('rest as the ladder’s effort asks, unless it was chosen', () => {
    expect(restRatioOf(CHOICES, { effort: 'quality' })).toBe(2);
    expect(restRatioOf(CHOICES, { effort: 'pressure' })).toBe(1);
    expect(restRatioOf({ restRatio: 4 }, { effort: 'pressure' })).toBe(4);
  });
});

describe('a set that asks less than its rung', () => {
  const letters = SETUP.pattern.rungs[0]?.targets ?? [];
  const only = letters.slice(0, 1);

  test('cues only what it may, says so, and watches what is watched in the athlete', () => {
    const setup = {
      ...withEased(SETUP, { targets: only, floorShare: 0.6 }),
      watched: ['lean' as const],
    };
    const made = planDrill(CLUB, setup, CHOICES, 1, START);
    if (!made.ok) throw new Error(made.problem.field);
    const { cues, conditions } = made.value;
    expect(new Set(cues.map(({ target }) => target))).toEqual(new Set(only));
    expect(conditions.eased).toEqual({ targets: only, floorShare: 0.6 });
    expect(conditions.watched).toEqual(['lean']);
    const scale = (of: Pick<DrillSetupReply, 'pattern'>) => of.pattern.rungs[0]?.floorScale ?? 0;
    expect(scale(setup)).toBeCloseTo(0.6 * scale(SETUP));
  });

  test('is as it was where nothing of the rung would be left', () => {
    expect(withEased(SETUP, { targets: ['Z'], floorShare: 1 })).toBe(SETUP);
    expect(withEased(SETUP, null)).toBe(SETUP);
  });

  test('is told by the address, and only within what a floor can be', () => {
    const asked = (search: string) => easedOf(new URLSearchParams(search));
    expect(asked('')).toBeNull();
    expect(asked('floor=0.6')).toEqual({ targets: null, floorShare: 0.6 });
    expect(asked('only=A,C')).toEqual({ targets: ['A', 'C'], floorShare: 1 });
    expect(asked('floor=0.01')).toBeNull();
    expect(asked('floor=words')).toBeNull();
    expect(easedParts({ targets: ['A', 'C'] })).toEqual({ only: 'A,C', floor: null });
    expect(easedParts(null)).toEqual({ only: null, floor: null });
  });
});
