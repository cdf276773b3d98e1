import { claimsOf, heldOnRung, type SquadMember } from '@orthokin/core/progress';
import { standingOf, type Change, type Standing } from '@orthokin/core/stats';

const nothing = standingOf([]);
const change = (p: number, changeMs = -80): Change => ({
  ...{
    beforeMs: 1900,
    afterMs: 1900 + changeMs,
    changeMs,
    daysBefore: 3,
    daysNow: 4,
    daysAfter: 3,
  },
  ...{ sdMs: 20, df: 12, detectableMs: 44, worthwhileMs: 10, moreDays: 0, p },
  ...{ fasterChance: 0.99, slowerChance: 0 },
  words: changeMs < 0 ? 'clearly faster' : 'clearly slower',
});
const member = (
  standing: Partial<Standing>,
  more: Partial<Omit<SquadMember, 'standing'>> = {},
): SquadMember => ({
  ...{ standing: { ...nothing, ...standing }, held: null },
  ...{ answer: 'stay', hasRungAbove: true },
  ...more,
});
const lean = { percent: 8, days: 9, interval: { low: 6, high: 10 }, p: 1e-6 };
const held = { days: 6, sets: 12, passShare: 0.5, asked: 0.8, p: 1e-5 };

test('what one athlete alone would be told is not said of one among many', () => {
  const chance = change(0.02);
  expect(claimsOf([member({ change: chance })])).toMatchObject([{ change: 'faster' }]);
  const among = claimsOf([
    member({ change: chance }),
    ...Array.from({ length: 24 }, () => member({ change: change(0.5) })),
  ]);
  expect(among.every((claims) => claims.change === null)).toBe(true);
  const real = claimsOf([member({ change: change(1e-5, 90) }), member({ change: change(0.5) })]);
  expect(real.map((claims) => claims.change)).toEqual(['slower', null]);
});

test('a lean is said where it is large enough to see; it is new where the newest days changed', () => {
  expect(claimsOf([member({ lean })])).toMatchObject([{ slowerSide: 'left', isNewLean: false }]);
  expect(claimsOf([member({ lean: { ...lean, percent: 2 } })])).toMatchObject([
    { slowerSide: null },
  ]);
  const leanChange = { percent: -9, nowPercent: -8, daysBefore: 8, daysNow: 4, p: 1e-5 };
  expect(claimsOf([member({ lean, leanChange })])).toMatchObject([
    { slowerSide: 'right', isNewLean: true },
  ]);
  // A lean that went away is none.
  const gone = { ...leanChange, nowPercent: 0.5 };
  expect(claimsOf([member({ leanChange: gone })])).toMatchObject([{ isNewLean: false }]);
});

test('stuck is who is held back, has somewhere to go, and is neither ready nor getting faster', () => {
  expect(claimsOf([member({}, { held })])).toMatchObject([{ isStuck: true }]);
  expect(claimsOf([member({}, { held, hasRungAbove: false })])[0]?.isStuck).toBe(false);
  expect(claimsOf([member({}, { held, answer: 'move up' })])[0]?.isStuck).toBe(false);
  expect(claimsOf([member({ change: change(1e-6) }, { held })])[0]?.isStuck).toBe(false);
  expect(claimsOf([])).toEqual([]);
});

describe('held on a rung', () => {
  const judged = (day: string, chances: readonly number[]) => ({ day, judgement: { chances } });
  const reps = (passes: number, of = 12) =>
    Array.from({ length: of }, (_, i) => (i < passes ? 1 : 0));

  test('days that pass far too little hold; days that pass what is asked do not', () => {
    const poor = ['1', '2', '3', '4', '5'].map((day, i) => judged(day, reps(5 + (i % 2))));
    expect(heldOnRung(poor, 0.8)).toMatchObject({ days: 5, sets: 5, asked: 0.8 });
    expect(heldOnRung(poor, 0.8)?.p).toBeLessThan(0.01);
    const good = ['1', '2', '3', '4', '5'].map((day, i) => judged(day, reps(9 + (i % 2))));
    expect(heldOnRung(good, 0.8)?.p).toBeGreaterThan(0.2);
  });

  test('sets of one day count once; three days, or sets without reps, say nothing', () => {
    const oneDay = Array.from({ length: 9 }, () => judged('1', reps(2)));
    expect(heldOnRung(oneDay, 0.8)).toBeNull();
    expect(
      heldOnRung([...oneDay, judged('2', []), judged('3', []), judged('4', [])], 0.8),
    ).toBeNull();
  });

  test('days that agree to the rep are no surer than their reps', () => {
    const same = ['1', '2', '3', '4'].map((day) => judged(day, reps(9)));
    expect(heldOnRung(same, 0.8)?.p).toBeGreaterThan(0.1);
    const asksAll = ['1', '2', '3', '4'].map((day) => judged(day, reps(12)));
    expect(heldOnRung(asksAll, 1)?.p).toBe(1);
  });
});
