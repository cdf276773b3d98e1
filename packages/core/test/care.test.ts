import { COURT_NAMES, otherSide, SIDES } from '@orthokin/core/floor';
import { layLeg } from '@orthokin/core/footwork';
import {
  mirrorPattern,
  RECOVERY_WAYS,
  TRAVEL_WAYS,
  LOAD_STANCES,
  type Leg,
  type Pattern,
  type Placement,
  type Standing,
} from '@orthokin/core/pattern';
import {
  AGE_BANDS,
  againstKeys,
  agreementOn,
  ALL_NEEDS,
  allowedInstead,
  beforeDrill,
  isStoppedWhole,
  demandsOf,
  forbids,
  HEAD_CONTACT_TAG,
  holdsOn,
  isUnderAge,
  leftOfDay,
  MOVES,
  needKey,
  needsOf,
  needsOfTargets,
  painRestrictions,
  READINESS_CHECKS,
  RESTRICTION_KINDS,
  SIDED_MOVES,
  SIDED_RESTRICTIONS,
  stopsOf,
  unreadyFor,
  type BeforeDrill,
  type Demand,
  type GoAhead,
  type Looked,
  type Minded,
  type Said,
  type Restriction,
  type RestrictionKind,
} from '@orthokin/core/people';
import { firstPattern } from '@orthokin/core/progress';
import fc from 'fast-check';

const star = firstPattern({ name: 'Star', sport: 'squash', court: 'squash', hand: 'right' });
const DAY = '2026-11-27';

const restriction = (kind: RestrictionKind, more: Partial<Restriction> = {}): Restriction => ({
  ...{ kind, leg: null, moves: [], most: null, from: '2026-11-01', until: null, clinician: false },
  ...more,
});

const anyPattern = fc
  .record({ court: fc.constantFrom(...COURT_NAMES), hand: fc.constantFrom(...SIDES) })
  .map(({ court, hand }) => firstPattern({ name: 'Any', sport: 'any', court, hand }));

/** A pattern with every leg danced in some other way than usual. */
const danced = fc
  .record({
    pattern: anyPattern,
    travel: fc.constantFrom(...TRAVEL_WAYS),
    load: fc.constantFrom(...LOAD_STANCES),
    recover: fc.constantFrom(...RECOVERY_WAYS),
  })
  .map(({ pattern, ...ways }): Pattern => {
    const legs = pattern.targets.map((target) =>
      layLeg(pattern, target, {
        ...{ target: target.letter, intent: 'attack', quicken: false },
        ...ways,
      }),
    );
    return { ...pattern, legs };
  });

const anyRestriction = fc
  .record({
    kind: fc.constantFrom(...RESTRICTION_KINDS),
    leg: fc.constantFrom(null, ...SIDES),
    moves: fc.subarray([...MOVES]),
  })
  .map(({ kind, leg, moves }) =>
    restriction(kind, { leg: SIDED_RESTRICTIONS.includes(kind) ? leg : null, moves }),
  );

const demandsTo = (pattern: Pattern, letter: string): Demand[] => {
  const leg = pattern.legs.find(({ target }) => target === letter);
  return demandsOf(pattern.stance, leg?.placements ?? []);
};
const words = (demands: readonly Demand[]) =>
  demands.map(({ move, leg }) => (leg === null ? move : `${move} ${leg}`));

describe('what a leg asks of the body', () => {
  test('a lunge to the short right and back without turning', () => {
    const short = star.targets.find(({ kind, at }) => kind === 'short' && at.x > 0);
    expect(words(demandsTo(star, short?.letter ?? ''))).toEqual(
      expect.arrayContaining(['split-step', 'run', 'moving back', 'lunge right']),
    );
    expect(words(demandsTo(star, short?.letter ?? ''))).not.toContain('hop right');
  });

  test('a drop step turns over the leg that stays, and goes back', () => {
    const deep = star.targets.find(({ kind, at }) => kind === 'deep' && at.x > 0);
    const asked = words(demandsTo(star, deep?.letter ?? ''));
    expect(asked).toEqual(expect.arrayContaining(['turn left', 'moving back']));
  });

  test('the way a step is named does not hide where it goes', () => {
    const foot = (x: number, y: number, headingDeg = 0) => ({ at: { x, y }, headingDeg });
    const stance: Standing = { left: foot(-0.3, 0), right: foot(0.3, 0), leftWeight: 0.5 };
    const step = (more: Partial<Placement>): Placement => ({
      ...{ foot: 'right', ...foot(0.3, 0), atMs: 300, phase: 'travel', kind: 'push', weight: 1 },
      ...more,
    });
    expect(words(demandsOf(stance, [step({ at: { x: 0.3, y: -0.9 } })]))).toEqual(['moving back']);
    expect(words(demandsOf(stance, [step({ at: { x: 1.2, y: 0 } })]))).toEqual(['side-step']);
    expect(words(demandsOf(stance, [step({ headingDeg: 90 })]))).toEqual(['turn left']);
    expect(words(demandsOf(stance, [step({ at: { x: 0.3, y: 0.9 } })]))).toEqual([]);
    expect(demandsOf(stance, [])).toEqual([]);
  });

  test('mirrored, the other leg bears what this one bore, and nothing else changes', () => {
    fc.assert(
      fc.property(danced, (pattern) => {
        const mirrored = mirrorPattern(pattern);
        for (const { letter } of pattern.targets) {
          const across = demandsTo(mirrored, letter).map(({ move, leg }) => ({
            move,
            leg: leg === null ? null : otherSide(leg),
          }));
          expect(words(across).sort()).toEqual(words(demandsTo(pattern, letter)).sort());
        }
      }),
    );
  });

  test('on a floor of any size a leg asks the same', () => {
    const sized = <Foot extends { at: { x: number; y: number } }>(
      foot: Foot,
      by: number,
    ): Foot => ({
      ...foot,
      at: { x: by * foot.at.x, y: by * foot.at.y },
    });
    fc.assert(
      // Powers of two: nothing is rounded on the way.
      fc.property(danced, fc.constantFrom(0.25, 0.5, 2, 4), (pattern, by) => {
        const { left, right, leftWeight } = pattern.stance;
        const stance = { left: sized(left, by), right: sized(right, by), leftWeight };
        for (const { target, placements } of pattern.legs)
          expect(
            words(
              demandsOf(
                stance,
                placements.map((placement) => sized(placement, by)),
              ),
            ),
          ).toEqual(words(demandsTo(pattern, target)));
      }),
    );
  });

  test('legs that are joined ask all that each of them asked', () => {
    const joined = (a: Leg, b: Leg): Placement[] => {
      const endsMs = a.placements.at(-1)?.atMs ?? 0;
      return [
        ...a.placements,
        ...b.placements.map((placement) => ({ ...placement, atMs: placement.atMs + endsMs + 500 })),
      ];
    };
    fc.assert(
      fc.property(danced, ({ stance, legs }) => {
        for (const a of legs)
          for (const b of legs) {
            const both = words(demandsOf(stance, joined(a, b)));
            expect(both).toEqual(expect.arrayContaining(words(demandsOf(stance, a.placements))));
            expect(both).toEqual(expect.arrayContaining(words(demandsOf(stance, b.placements))));
          }
      }),
      { numRuns: 30 },
    );
  });
});

describe('restrictions', () => {
  test('hold from the first to the last day, both in', () => {
    const week = restriction('no jumping', { from: '2026-11-20', until: '2026-11-27' });
    expect(
      ['2026-11-19', '2026-11-20', '2026-11-27', '2026-11-28'].map((day) => holdsOn(week, day)),
    ).toEqual([false, true, true, false]);
    expect(holdsOn(restriction('no jumping'), '2099-01-01')).toBe(true);
  });

  test('of one leg let the other work; what both bear is neither’s', () => {
    const left = restriction('no turning', { leg: 'left' });
    expect(forbids(left, { move: 'turn', leg: 'left' })).toBe(true);
    expect(forbids(left, { move: 'turn', leg: 'right' })).toBe(false);
    expect(forbids(restriction('no turning'), { move: 'turn', leg: 'right' })).toBe(true);
    const listed = restriction('only what is listed', { moves: ['run'] });
    expect(forbids(listed, { move: 'run', leg: null })).toBe(false);
    expect(forbids(listed, { move: 'split-step', leg: null })).toBe(true);
  });

  test('are never slipped by mirroring the pattern', () => {
    fc.assert(
      fc.property(danced, anyRestriction, fc.nat(7), (pattern, rule, n) => {
        const rung = pattern.rungs[n % pattern.rungs.length]?.number ?? 1;
        const across = { ...rule, leg: rule.leg === null ? null : otherSide(rule.leg) };
        const stopped = (of: Pattern, by: Restriction) =>
          stopsOf(of, rung, [by]).map(({ target }) => target);
        expect(stopped(mirrorPattern(pattern), across)).toEqual(stopped(pattern, rule));
      }),
    );
  });

  test('are held against the floor as the rung scales it', () => {
    const rule = restriction('no running');
    const onSmall = (floorScale: number): Pattern => ({
      ...star,
      rungs: star.rungs.map((rung) => ({ ...rung, floorScale })),
    });
    const top = star.rungs.length;
    expect(stopsOf(onSmall(1), top, [rule]).length).toBeGreaterThan(0);
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 1.5, noNaN: true }), (scale) => {
        const pattern = onSmall(scale);
        const stopped = stopsOf(pattern, top, [rule]).map(({ target }) => target);
        expect(allowedInstead(pattern, top, [rule]).targets).toEqual(
          pattern.rungs.at(-1)?.targets.filter((letter) => !stopped.includes(letter)),
        );
      }),
    );
  });

  test('stop a target nobody laid feet to: what is not written down cannot be checked', () => {
    const bare = { ...star, legs: [] };
    const [stop] = stopsOf(bare, 1, [restriction('no jumping')]);
    expect(stop).toMatchObject({ target: star.rungs[0]?.targets[0], demands: [] });
    expect(stopsOf(bare, 1, [restriction('splits a day', { most: 5 })])).toEqual([]);
    expect(allowedInstead(bare, 1, [restriction('no jumping')]).walk).toBe(false);
    expect(stopsOf(bare, 99, [restriction('no jumping')])).toEqual([]);
  });

  test('of head contact go by the pattern’s tag', () => {
    const heading = { ...star, tags: [HEAD_CONTACT_TAG] };
    expect(stopsOf(star, 1, [restriction('no head contact')])).toEqual([]);
    expect(stopsOf(heading, 1, [restriction('no head contact')])).toHaveLength(
      star.rungs[0]?.targets.length ?? 0,
    );
    expect(allowedInstead(heading, 1, [restriction('no head contact')]).walk).toBe(false);
  });

  test('what is offered instead is free of what is forbidden', () => {
    fc.assert(
      fc.property(
        danced,
        fc.array(anyRestriction, { minLength: 1, maxLength: 3 }),
        (pattern, rules) => {
          const top = pattern.rungs.length;
          const { rungs, floorScale, targets } = allowedInstead(pattern, top, rules);
          for (const rung of rungs) expect(stopsOf(pattern, rung, rules)).toEqual([]);
          const asked = pattern.rungs.at(-1);
          if (!asked) return;
          const only = { ...asked, targets };
          const changed = { ...pattern, rungs: [...pattern.rungs.slice(0, -1), only] };
          expect(stopsOf(changed, top, rules)).toEqual([]);
          if (floorScale === null) return;
          const small = { ...asked, floorScale: floorScale * asked.floorScale };
          const scaled = { ...pattern, rungs: [...pattern.rungs.slice(0, -1), small] };
          expect(stopsOf(scaled, top, rules)).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('a split-step that is forbidden can be walked through, a turn cannot', () => {
    const top = star.rungs.length;
    expect(allowedInstead(star, top, [restriction('no jumping')]).walk).toBe(true);
    expect(allowedInstead(star, top, [restriction('no turning')]).walk).toBe(false);
  });

  test('of so much a day leave what is left, the least of several', () => {
    const rules = [
      restriction('splits a day', { most: 60 }),
      restriction('splits a day', { most: 40 }),
      restriction('minutes a day', { most: 10 }),
    ];
    expect(leftOfDay(rules, { minutes: 4, splits: 25 })).toEqual({ minutes: 6, splits: 15 });
    expect(leftOfDay(rules, { minutes: 40, splits: 41 })).toEqual({ minutes: 0, splits: 0 });
    expect(leftOfDay([], { minutes: 4, splits: 25 })).toEqual({ minutes: null, splits: null });
  });
});

describe('readiness', () => {
  const look = (check: Looked['check'], result: Looked['result'], more: Partial<Looked> = {}) => ({
    ...{ check, leg: null, result, day: DAY },
    ...more,
  });

  test('every move asks for a check of its own leg at most, every check is known', () => {
    for (const move of MOVES)
      for (const leg of SIDED_MOVES.includes(move) ? SIDES : [null])
        for (const need of needsOf([{ move, leg }])) expect(ALL_NEEDS).toContainEqual(need);
    expect(new Set(ALL_NEEDS.map(needKey)).size).toBe(READINESS_CHECKS.length + 2);
    expect(needsOf([])).toEqual([{ check: 'squat and hold', leg: null }]);
  });

  test('a pattern’s needs come from the legs in play', () => {
    const all = needsOfTargets(
      star,
      star.targets.map(({ letter }) => letter),
    ).map(needKey);
    expect(all).toEqual(
      expect.arrayContaining(['squat and hold', 'split-step landing', 'turn and run', 'backpedal']),
    );
    for (const { letter } of star.targets)
      expect(all).toEqual(expect.arrayContaining(needsOfTargets(star, [letter]).map(needKey)));
  });

  test('the newest look counts; of one day the one said last', () => {
    const needs = needsOf([{ move: 'split-step', leg: null }]);
    expect(unreadyFor(needs, [])).toEqual(needs.map((need) => ({ ...need, result: null })));
    const looks = [
      look('squat and hold', 'yes', { day: '2026-11-20' }),
      look('squat and hold', 'not yet', { day: '2026-11-10' }),
      look('split-step landing', 'not yet'),
      look('split-step landing', 'with help'),
    ];
    expect(unreadyFor(needs, looks)).toEqual([]);
    expect(unreadyFor(needs, looks.slice(0, 3))).toEqual([
      { check: 'split-step landing', leg: null, result: 'not yet' },
    ]);
  });

  test('what hurts is restricted, for its own leg, until it is looked at again', () => {
    const hurts = look('hop and stick', 'hurts', { leg: 'left', day: '2026-11-20' });
    expect(painRestrictions([hurts])).toEqual([
      restriction('no hopping', { leg: 'left', from: '2026-11-20' }),
    ]);
    expect(painRestrictions([hurts, look('hop and stick', 'with help', { leg: 'left' })])).toEqual(
      [],
    );
    expect(painRestrictions([hurts, look('hop and stick', 'yes', { leg: 'right' })])).toHaveLength(
      1,
    );
  });

  test('whatever hurts forbids a move that asks for it', () => {
    const everyMove = MOVES.flatMap((move) =>
      (SIDED_MOVES.includes(move) ? SIDES : [null]).map((leg) => ({ move, leg })),
    );
    // A squat is in every stance: what hurts there is the depth of a lunge.
    for (const need of ALL_NEEDS.filter(({ check }) => check !== 'squat and hold')) {
      const [rule] = painRestrictions([look(need.check, 'hurts', { leg: need.leg })]);
      const asking = everyMove.filter((move) =>
        needsOf([move]).map(needKey).includes(needKey(need)),
      );
      expect(rule && asking.some((demand) => forbids(rule, demand))).toBe(true);
    }
  });
});

describe('before a drill', () => {
  const top = star.rungs.length;
  const all: Looked[] = ALL_NEEDS.map((need) => ({ ...need, result: 'yes', day: '2026-11-01' }));
  /** Said in the order restrictions, looks, go-aheads, where nothing else is given. */
  const minded = ({
    restrictions = [],
    looks = all,
    goAheads = [],
    ...more
  }: Omit<Partial<Minded>, 'restrictions' | 'looks' | 'goAheads'> & {
    readonly restrictions?: readonly (Restriction & Partial<Said>)[];
    readonly looks?: readonly (Looked & Partial<Said>)[];
    readonly goAheads?: readonly (GoAhead & Partial<Said>)[];
  } = {}): Minded => ({
    ...{ agreements: [], underAge: false, done: { minutes: 0, splits: 0 }, ...more },
    restrictions: restrictions.map((one) => ({ saidAt: 1, ...one })),
    looks: looks.map((one) => ({ saidAt: 2, ...one })),
    goAheads: goAheads.map((one) => ({ saidAt: 3, ...one })),
  });
  const drill = { patternId: 'star', pattern: star, rung: top, day: DAY, splits: 10 };
  const ahead = (before: BeforeDrill, more: Partial<GoAhead> = {}): GoAhead => ({
    ...{ patternId: 'star', day: DAY, against: againstKeys(before) },
    ...more,
  });

  test('nothing is said of somebody who can, may and has leave', () => {
    const before = beforeDrill(minded(), drill);
    expect(before).toMatchObject({ stops: [], tooMuch: [], unready: [], instead: null });
    expect(before.agreement).toBeNull();
    expect(againstKeys(before)).toEqual([]);
  });

  test('what nobody looked at is said once, and again when it has changed', () => {
    const fresh = beforeDrill(minded({ looks: [] }), drill);
    expect(fresh.unready.length).toBeGreaterThan(4);
    const goAheads = [ahead(fresh, { day: '2026-10-01' })];
    expect(beforeDrill(minded({ looks: [], goAheads }), drill).unready).toEqual([]);
    const looks: Looked[] = [{ check: 'backpedal', leg: null, result: 'not yet', day: DAY }];
    expect(beforeDrill(minded({ looks, goAheads }), drill).unready).toEqual([
      { check: 'backpedal', leg: null, result: 'not yet' },
    ]);
    const elsewhere = beforeDrill(minded({ looks: [], goAheads }), { ...drill, patternId: 'x' });
    expect(elsewhere.unready).toEqual(fresh.unready);
  });

  test('a restriction is gone ahead against for a day, a clinician’s never', () => {
    const rule = restriction('no turning');
    const stopped = beforeDrill(minded({ restrictions: [rule] }), drill);
    expect(stopped.stops.length).toBeGreaterThan(0);
    expect([stopped.mayOverrule, stopped.instead === null]).toEqual([true, false]);
    const goAheads = [ahead(stopped)];
    expect(beforeDrill(minded({ restrictions: [rule], goAheads }), drill).stops).toEqual([]);
    const tomorrow = { ...drill, day: '2026-11-28' };
    expect(beforeDrill(minded({ restrictions: [rule], goAheads }), tomorrow).stops).toEqual(
      stopped.stops,
    );
    const cleared = { ...rule, clinician: true };
    const held = beforeDrill(minded({ restrictions: [cleared], goAheads }), drill);
    expect([held.stops.length, held.mayOverrule]).toEqual([stopped.stops.length, false]);
  });

  test('what is written down after a coach went ahead stops the drill anew', () => {
    const rule = restriction('no turning');
    const goAheads = [ahead(beforeDrill(minded({ restrictions: [rule] }), drill))];
    const again = [rule, { ...rule, saidAt: 4 }];
    expect(beforeDrill(minded({ restrictions: again, goAheads }), drill).stops).not.toEqual([]);
    const hurts = { check: 'turn and run', leg: null, result: 'hurts', day: DAY } as const;
    const before = beforeDrill(minded({ looks: [...all, hurts] }), drill);
    const later = { looks: [...all, { ...hurts, saidAt: 4 }], goAheads: [ahead(before)] };
    expect(beforeDrill(minded(later), drill).stops).toHaveLength(before.stops.length);
    expect(before.stops).not.toEqual([]);
  });

  test('a pattern is stopped whole when each of its rungs is', () => {
    const can = minded();
    expect(isStoppedWhole(star, can, DAY)).toBe(false);
    const jumping = minded({ restrictions: [restriction('no jumping', { until: DAY })] });
    expect(isStoppedWhole(star, jumping, DAY)).toBe(true);
    expect(isStoppedWhole(star, jumping, '2026-11-28')).toBe(false);
    expect(isStoppedWhole({ ...star, rungs: [] }, jumping, DAY)).toBe(false);
    const aside = minded({ restrictions: [restriction('no moving back')] });
    const stopped = beforeDrill(aside, drill).stoppedRungs;
    expect(isStoppedWhole(star, aside, DAY)).toBe(stopped.length === star.rungs.length);
    const look = { check: 'split-step landing', leg: null, result: 'hurts', day: DAY } as const;
    expect(isStoppedWhole(star, minded({ looks: [look] }), DAY)).toBe(true);
  });

  test('what hurts stops the drill without anybody writing a restriction', () => {
    const looks: Looked[] = [
      ...all,
      { check: 'split-step landing', leg: null, result: 'hurts', day: DAY },
    ];
    const before = beforeDrill(minded({ looks }), drill);
    expect(before.stops[0]?.restriction.kind).toBe('no jumping');
    expect(before.instead?.walk).toBe(true);
  });

  test('more than is left of the day is too much', () => {
    const restrictions = [restriction('splits a day', { most: 30 })];
    const done = { minutes: 5, splits: 24 };
    const before = beforeDrill(minded({ restrictions, done }), drill);
    expect([before.tooMuch.length, before.left.splits]).toEqual([1, 6]);
    expect(beforeDrill(minded({ restrictions, done }), { ...drill, splits: 6 }).tooMuch).toEqual(
      [],
    );
    const minutes = [restriction('minutes a day', { most: 5 })];
    expect(beforeDrill(minded({ restrictions: minutes, done }), drill).tooMuch).toHaveLength(1);
  });

  test('a guardian’s agreement that is missing is said until somebody went ahead', () => {
    const before = beforeDrill(minded({ underAge: true }), drill);
    expect(before.agreement).toEqual({ state: 'missing' });
    const goAheads = [ahead(before)];
    expect(beforeDrill(minded({ underAge: true, goAheads }), drill).agreement).toBeNull();
  });
});

describe('a guardian’s agreement', () => {
  const given = (day: string, until: string | null = null) =>
    ({ to: 'training', day, until }) as const;

  test('is needed up to eighteen, by the birth where it is known', () => {
    expect(isUnderAge('adult', '2009-11-28', DAY)).toBe(true);
    expect(isUnderAge('adult', '2008-11-27', DAY)).toBe(false);
    expect(AGE_BANDS.map((band) => isUnderAge(band, null, DAY))).toEqual([
      ...[true, true, true, true, false],
    ]);
  });

  test.each([
    ['of age', [], false, { state: 'not needed' }],
    ['none', [], true, { state: 'missing' }],
    ['open', [given('2026-01-01')], true, { state: 'holds', until: null }],
    ['to its last day', [given('2026-01-01', DAY)], true, { state: 'holds', until: DAY }],
    ['over', [given('2026-01-01', '2026-11-26')], true, { state: 'ran out', until: '2026-11-26' }],
    ['not yet begun', [given('2026-12-01')], true, { state: 'missing' }],
    [
      'renewed',
      [given('2025-01-01', '2025-12-31'), given('2026-01-01', '2026-12-31')],
      true,
      { state: 'holds', until: '2026-12-31' },
    ],
  ] as const)('%s', (_, agreements, underAge, state) => {
    expect(agreementOn('training', agreements, underAge, DAY)).toEqual(state);
    if (agreements.length > 0)
      expect(agreementOn('filming', agreements, underAge, DAY)).toEqual({ state: 'missing' });
  });
});
