import fc from 'fast-check';
import type { CueOrder } from '@orthokin/core/cue';
import {
  layoutTargets,
  raisedBy,
  stepUp,
  TYPICAL_BUILD,
  USUAL_RUNG,
  type Layout,
  type Rung,
} from '@orthokin/core/pattern';
import {
  asksTheSame,
  AXIS_ORDERS,
  checkLadder,
  draftLadder,
  fittingRungs,
  hickCostMs,
  isCuedAsAsked,
  SCHOOL_NAMES,
  USUAL_DRAFT,
  USUAL_LADDER,
  withLimit,
  withOwnLimit,
  withOwnLimits,
  type DraftSettings,
} from '@orthokin/core/progress';

const star = { targets: layoutTargets('star', 3), laidFor: TYPICAL_BUILD };
const everyDraft = AXIS_ORDERS.flatMap((axis) =>
  SCHOOL_NAMES.map((school): DraftSettings => ({ ...USUAL_DRAFT, axis, school })),
);

describe.each(everyDraft)('$axis, $school', (settings) => {
  const rungs = draftLadder(star, settings);

  test('goes from few targets at 130 % to all of them switched and live at 95 %', () => {
    expect(rungs[0]).toMatchObject({ number: 1, timeFactor: 1.3, doing: 'feet only' });
    expect(rungs[0]?.targets).toHaveLength(3);
    expect(rungs.at(-1)).toMatchObject({ timeFactor: 0.95, order: 'chained', doing: 'live' });
    expect(rungs.at(-1)?.targets).toHaveLength(6);
    expect(rungs.at(-1)?.switchShare).toBeGreaterThan(0);
  });

  test('names are a coach’s, and short enough to be kept', () => {
    expect(rungs[0]?.name).toMatch(/^Three targets, .*, feet only, easy pace$/);
    expect(rungs.at(-1)?.name).toMatch(/^Six targets, .*live, switched, over match pace$/);
    for (const { name } of rungs) expect(name.length).toBeLessThanOrEqual(80);
  });

  test('each step raises one axis only, and never lowers complexity', () => {
    for (const [i, rung] of rungs.entries()) {
      const before = rungs[i - 1];
      if (before) expect(raisedBy(before, rung)).toHaveLength(1);
    }
  });

  test('when complexity rises the pace is eased by 8 % or more, unless it is easy already', () => {
    for (const [i, rung] of rungs.entries()) {
      const before = rungs[i - 1];
      if (!before || raisedBy(before, rung)[0] !== 'complexity') continue;
      if (settings.axis === 'complexity first') expect(rung.timeFactor).toBe(1.3);
      else expect(rung.timeFactor / before.timeFactor).toBeGreaterThanOrEqual(1.07);
    }
  });

  test('every limit is what its source gives, and says so', () => {
    for (const { limitsMs, limitSources, timeFactor } of rungs) {
      expect(limitSources.recovery).toMatchObject({ kind: 'reckoned', factor: timeFactor });
      expect(limitsMs.recovery).toBeGreaterThan(0);
      expect(limitsMs.reaction).toBeGreaterThan(200);
    }
  });
});

test('a richer choice costs the athlete’s own slope for each bit', () => {
  expect(hickCostMs(2, 4, 120)).toBeCloseTo(120, 12);
  expect(hickCostMs(4, 2, 120)).toBeCloseTo(-120, 12);
  const slow = draftLadder(star, { ...USUAL_DRAFT, msPerBit: 200 });
  const quick = draftLadder(star, { ...USUAL_DRAFT, msPerBit: 50 });
  expect(slow.at(-1)?.limitsMs.reaction).toBeGreaterThan(quick.at(-1)?.limitsMs.reaction ?? NaN);
});

test('two targets make a shorter ladder, none makes none', () => {
  const line = { ...star, targets: layoutTargets('line', 3) };
  expect(draftLadder(line).length).toBeLessThan(draftLadder(star).length);
  expect(draftLadder({ ...star, targets: [] })).toEqual([]);
});

test('any layout gives rungs numbered in order, whose targets it has', () => {
  const layouts: Layout[] = ['fork', 'cross', 'star', 'line', 'lane', 'triangle'];
  fc.assert(
    fc.property(
      fc.constantFrom(...layouts),
      fc.double({ min: 1.5, max: 5, noNaN: true }),
      fc.constantFrom(...everyDraft),
      (layout, size, settings) => {
        const targets = layoutTargets(layout, size);
        const letters = targets.map(({ letter }) => letter);
        const rungs = draftLadder({ ...star, targets }, settings);
        expect(rungs.map(({ number }) => number)).toEqual(rungs.map((_, i) => i + 1));
        for (const rung of rungs)
          expect(letters).toEqual(expect.arrayContaining([...rung.targets]));
      },
    ),
  );
});

test('a pattern keeps its own rungs while they fit its targets', () => {
  const own = { ...star, rungs: draftLadder(star) };
  expect(fittingRungs(own)).toBe(own.rungs);
  const fewer = { ...own, targets: own.targets.slice(0, 4) };
  expect(fittingRungs(fewer).at(-1)?.targets).toEqual(['A', 'B', 'C', 'D']);
});

describe('limits of one’s own', () => {
  const [first] = draftLadder(star) as [Rung];
  const own = {
    rung: 1,
    limitsMs: { recovery: 999 },
    limitSources: { recovery: { kind: 'coach' as const } },
  };

  test('stand in gate by gate, on their rung only', () => {
    const [asked, second] = withOwnLimits(draftLadder(star), [own]);
    expect(asked?.limitsMs).toEqual({ ...first.limitsMs, recovery: 999 });
    expect(asked?.limitSources.recovery).toEqual({ kind: 'coach' });
    expect(second).toEqual(draftLadder(star)[1]);
  });

  test('are set, set anew and given back one by one, in the order of rungs', () => {
    const limit = { ms: 900, source: { kind: 'coach' as const } };
    const one = withOwnLimit([], 3, 'recovery', limit);
    expect(one).toEqual([
      { rung: 3, limitsMs: { recovery: 900 }, limitSources: { recovery: { kind: 'coach' } } },
    ]);
    const two = withOwnLimit(one, 1, 'reaction', { ...limit, ms: 300 });
    expect(two.map(({ rung }) => rung)).toEqual([1, 3]);
    expect(withOwnLimit(two, 3, 'recovery', { ...limit, ms: 850 })[1]?.limitsMs.recovery).toBe(850);
    expect(withOwnLimit(two, 3, 'recovery', null)).toEqual(two.slice(0, 1));
    expect(withOwnLimit(two, 2, 'cycle', null)).toEqual(two);
  });

  test('of a rung are set and taken away in the same way', () => {
    const limited = withLimit(first, 'cycle', { ms: 2000, source: { kind: 'coach' } });
    expect(limited.limitsMs).toEqual({ ...first.limitsMs, cycle: 2000 });
    expect(limited.limitSources.cycle).toEqual({ kind: 'coach' });
    expect(withLimit(limited, 'cycle', null)).toEqual(first);
  });

  test('make it another thing that is asked; a new name does not', () => {
    const [asked] = withOwnLimits([first], [own]) as [Rung];
    const on = (rung: Rung, radiusM = 0.45) => ({
      rung,
      pattern: { ...star, home: { onCourt: { x: 0, y: 4 }, radiusM } },
    });
    const isSame = (rung: Rung) => asksTheSame(on(first), on(rung));
    expect(isSame(asked)).toBe(false);
    expect(asksTheSame(on(first), on(first, 0.6))).toBe(false);
    expect(isSame({ ...first, name: 'Renamed', number: 4, limitSources: {} })).toBe(true);
    expect(isSame({ ...first, targets: [...first.targets].reverse() })).toBe(true);
    expect(isSame({ ...first, doing: 'live' })).toBe(false);
  });
});

const base: Rung = {
  ...USUAL_RUNG,
  ...{ number: 1, name: '', targets: ['A', 'B'], limitsMs: { cycle: 2000 } },
};

test('what a step raises: speed, complexity, both or nothing', () => {
  expect(raisedBy(base, { ...base, timeFactor: 0.9 })).toEqual(['speed']);
  expect(raisedBy(base, { ...base, limitsMs: { cycle: 1900 } })).toEqual(['speed']);
  expect(raisedBy(base, { ...base, pressure: 'one opponent' })).toEqual(['complexity']);
  expect(raisedBy(base, { ...base, timeFactor: 0.9, floorScale: 1.2 })).toEqual([
    'speed',
    'complexity',
  ]);
  expect(raisedBy(base, base)).toEqual([]);
});

test('a ladder’s settings name what is wrong with them', () => {
  expect(checkLadder(USUAL_LADDER, 5)).toEqual({ ok: true, value: USUAL_LADDER });
  const bad = {
    ...USUAL_LADDER,
    rule: { ...USUAL_LADDER.rule, ofLast: 0 } as typeof USUAL_LADDER.rule,
  };
  expect(checkLadder(bad, 5)).toMatchObject({ problem: { field: 'rule.ofLast' } });
  expect(checkLadder({ ...USUAL_LADDER, test: { rung: 6, reps: 12, seed: 1 } }, 5)).toMatchObject({
    problem: { field: 'test.rung', allowed: '1 to 5' },
  });
});

test('a set cued more guessably than its rung asks is no evidence', () => {
  const counts = (order: CueOrder, asked: Rung['order']) => isCuedAsAsked(order, { order: asked });
  expect(counts('chained', 'shuffled')).toBe(true);
  expect(counts('called', 'shuffled')).toBe(true);
  expect(counts('known', 'shuffled')).toBe(false);
  expect(counts('free', 'chained')).toBe(false);
});

describe('what a step changes', () => {
  test('each thing by itself, in the order a coach names them', () => {
    const changes: [Partial<Rung>, ReturnType<typeof stepUp>][] = [
      [{ targets: [...base.targets, 'Z'] }, [{ what: 'targets', more: 1 }]],
      [{ order: 'blocked' }, [{ what: 'order', order: 'blocked' }]],
      [{ doing: 'live' }, [{ what: 'doing', doing: 'live' }]],
      [{ pressure: 'one opponent' }, [{ what: 'pressure', pressure: 'one opponent' }]],
      [
        { catchShare: base.catchShare > 0 ? 0 : 0.3 },
        [{ what: 'catch', comes: base.catchShare === 0 }],
      ],
      [{ switchShare: 0.1 }, [{ what: 'switch', comes: true }]],
      [{ floorScale: 0.5 }, [{ what: 'floor', larger: false }]],
      [{ timeFactor: base.timeFactor * 0.9 }, [{ what: 'pace', quicker: true }]],
      [{ limitsMs: { ...base.limitsMs, cycle: 60_000 } }, [{ what: 'pace', quicker: false }]],
    ];
    for (const [change, said] of changes)
      expect(stepUp(base, { ...base, ...change })).toEqual(said);
    expect(stepUp(base, base)).toEqual([]);
  });

  test('limits that move both ways are no pace; a new one is none either', () => {
    const two = { ...base, limitsMs: { cycle: 3000, reaction: 300 } };
    expect(stepUp(two, { ...two, limitsMs: { cycle: 2900, reaction: 310 } })).toEqual([]);
    expect(stepUp(base, { ...base, limitsMs: { ...base.limitsMs, response: 900 } })).toEqual([]);
  });

  test('on a drafted ladder every step changes something', () => {
    const rungs = draftLadder(star, USUAL_DRAFT);
    rungs.slice(1).forEach((rung, i) => {
      expect(stepUp(rungs[i] as Rung, rung)).not.toEqual([]);
    });
  });
});
