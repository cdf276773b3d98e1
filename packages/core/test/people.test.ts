import type { CourtName } from '@orthokin/core/floor';
import { baseWidth, changePlacement, TYPICAL_BUILD, withLeg } from '@orthokin/core/pattern';
import {
  AGE_BANDS,
  ageBandOn,
  ageOn,
  BODY_BOUNDS_M,
  laidFor,
  ownBuild,
  ownReach,
  usualLengths,
} from '@orthokin/core/people';
import { firstPattern } from '@orthokin/core/progress';
import fc from 'fast-check';

const day = fc
  .date({ min: new Date('1930-01-01'), max: new Date('2060-12-31'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));

describe('age', () => {
  test.each([
    ['2015-11-27', '2026-11-26', 10, 'under 11'],
    ['2015-11-26', '2026-11-26', 11, 'under 13'],
    ['2013-06-01', '2026-05-31', 12, 'under 13'],
    ['2013-06-01', '2026-06-01', 13, 'under 15'],
    ['2011-01-01', '2026-11-26', 15, 'under 17'],
    ['2009-11-26', '2026-11-26', 17, 'adult'],
    ['1950-02-01', '2026-11-26', 76, 'adult'],
    ['2012-02-29', '2023-02-28', 10, 'under 11'],
    ['2012-02-29', '2023-03-01', 11, 'under 13'],
  ])('born on %s, on %s: %i, %s', (bornOn, on, years, band) => {
    expect(ageOn(bornOn, on)).toBe(years);
    expect(ageBandOn(bornOn, on)).toBe(band);
  });

  test('nobody grows younger, and nobody falls back into a lower band', () => {
    fc.assert(
      fc.property(day, day, day, (bornOn, a, b) => {
        const [sooner = '', later = ''] = [a, b].sort();
        expect(ageOn(bornOn, later)).toBeGreaterThanOrEqual(ageOn(bornOn, sooner));
        expect(AGE_BANDS.indexOf(ageBandOn(bornOn, later))).toBeGreaterThanOrEqual(
          AGE_BANDS.indexOf(ageBandOn(bornOn, sooner)),
        );
      }),
    );
  });
});

test('usual lengths grow with the height and are a person’s at any height', () => {
  const [least, most] = BODY_BOUNDS_M.heightM;
  fc.assert(
    fc.property(fc.double({ min: least, max: most, noNaN: true }), (heightM) => {
      const { shoulderM, hipM, armM } = usualLengths(heightM);
      expect(shoulderM).toBeGreaterThan(hipM);
      expect(shoulderM).toBeGreaterThanOrEqual(BODY_BOUNDS_M.shoulderM[0]);
      expect(shoulderM).toBeLessThanOrEqual(BODY_BOUNDS_M.shoulderM[1]);
      expect(hipM).toBeGreaterThanOrEqual(BODY_BOUNDS_M.hipM[0]);
      expect(armM).toBeLessThan(heightM / 2);
    }),
  );
});

describe('feet laid for an athlete', () => {
  const star = firstPattern({ name: 'Star', sport: 'squash', court: 'squash', hand: 'right' });
  const NOTHING = { heightM: null, shoulderM: null, reachM: null };
  const stepsOf = (pattern: typeof star) =>
    pattern.legs.reduce((sum, { placements }) => sum + placements.length, 0);

  test('measured lengths go before those of the height, those before the pattern’s', () => {
    const child = { heightM: 1.36, shoulderM: 0.33, reachM: null };
    const of = (build = TYPICAL_BUILD) => ({ court: 'squash', laidFor: build }) as const;
    const contact = of({ ...TYPICAL_BUILD, reachM: 1 });
    const { build, from } = ownBuild(child, contact);
    expect(from).toEqual({ shoulderM: 'measured', strideM: 'from height', reachM: 'from height' });
    expect(build).toMatchObject({ shoulderM: 0.33, reachM: 0.6 });
    expect(build.strideM).toBeCloseTo(TYPICAL_BUILD.strideM * 0.8);
    expect(ownBuild(NOTHING, of())).toEqual({
      build: TYPICAL_BUILD,
      from: { shoulderM: 'pattern', strideM: 'pattern', reachM: 'pattern' },
      held: null,
    });
    const reaches = { racket: 1.2, paddle: 0.8 };
    const reaching = ownBuild({ ...child, reachM: 1, reaches }, contact);
    expect([reaching.build.reachM, reaching.held]).toEqual([1.2, 'racket']);
    expect(ownBuild({ ...child, reachM: 1.2, reaches }, of())).toMatchObject({
      ...{ build: { reachM: 0 }, held: null },
    });
  });

  test('the stance is as wide as their shoulders ask, and a child takes more steps', () => {
    const { build } = ownBuild({ ...NOTHING, heightM: 1.2 }, star);
    const laid = laidFor(star, build);
    expect(baseWidth(laid.stance) / build.shoulderM).toBeCloseTo(
      baseWidth(star.stance) / star.laidFor.shoulderM,
    );
    expect(stepsOf(laid)).toBeGreaterThan(stepsOf(star));
    expect(laidFor(star, star.laidFor)).toEqual(star);
  });

  test('a leg that was changed by hand stays as it was', () => {
    const [first] = star.legs;
    if (!first) throw new Error('No leg.');
    const moved = changePlacement(first, 2, { headingDeg: 33 });
    const laid = laidFor(withLeg(star, moved), { ...star.laidFor, strideM: 1 });
    expect(laid.legs.find(({ target }) => target === first.target)).toEqual(moved);
    expect(laid.legs.filter((leg, i) => leg === star.legs[i])).toHaveLength(0);
  });
});

test('a reach is the one measured with what is held there, else the measured one, else an arm by height, else the pattern’s; in the drill only where markers are contact points', () => {
  const at = (court: CourtName, reachM: number) => ({ court, laidFor: { reachM } });
  const [feet, contact] = [at('rectangle', 0), at('rectangle', 0.9)];
  expect(ownReach({ heightM: 1.7, reachM: 1.3 }, feet)).toEqual({
    ...{ reachM: 1.3, drillReachM: 0, from: 'measured', held: null },
  });
  expect(ownReach({ heightM: 1.7 }, contact)).toEqual({
    ...{ reachM: 0.75, drillReachM: 0.75, from: 'from height', held: null },
  });
  expect(ownReach({}, contact)).toMatchObject({ reachM: 0.9, drillReachM: 0.9, from: 'pattern' });
  const two = { reachM: 1.3, reaches: { paddle: 0.8, racket: null } };
  expect(ownReach(two, at('tableTennis', 0.5))).toEqual({
    ...{ reachM: 0.8, drillReachM: 0.8, from: 'measured', held: 'paddle' },
  });
  for (const court of ['squash', 'volleyball', 'grid'] as const)
    expect(ownReach(two, at(court, 0.5))).toMatchObject({ reachM: 1.3, held: null });

  expect(ownReach({}, feet).reachM).toBe(0);
});
