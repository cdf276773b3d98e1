import {
  acceptedAs,
  checkFootwork,
  checkLeg,
  findingKey,
  type CheckName,
  type Finding,
} from '@orthokin/core/footwork';
import {
  changeLeg,
  changePlacement,
  legOf,
  loadIndex,
  removePlacement,
  type Leg,
  type Pattern,
  type Placement,
} from '@orthokin/core/pattern';
import { bare, laid } from './patterns.js';

const good = laid(bare('star', 2.5));
/** Wide right of a star: its leg runs along x. */
const F = 'F';

const legF = (): Leg => {
  const leg = legOf(good, F);
  if (!leg) throw new Error('no leg to F');
  return leg;
};
const found = (change: (leg: Leg) => Leg, pattern: Pattern = good): Finding[] =>
  checkLeg(changeLeg(pattern, F, change), F);
const one = (change: (leg: Leg) => Leg, check: CheckName, pattern: Pattern = good): Finding => {
  const finding = found(change, pattern).find((each) => each.check === check);
  if (!finding) throw new Error(`${check} was not found`);
  return finding;
};
const indexOf = (phase: string, last = false): number => {
  const { placements } = legF();
  const is = (placement: Placement) => placement.phase === phase;
  return last ? placements.findLastIndex(is) : placements.findIndex(is);
};
const moved =
  (index: number, dx: number, dy = 0) =>
  (leg: Leg) => {
    const at = leg.placements[index]?.at ?? { x: 0, y: 0 };
    return changePlacement(leg, index, { at: { x: at.x + dx, y: at.y + dy } });
  };

test('a position that is missing is named', () => {
  const without = (phase: string) => (leg: Leg) => ({
    ...leg,
    placements: leg.placements.filter((placement) => placement.phase !== phase),
  });
  expect(one(without('split'), 'position missing').position).toBe('split');
  expect(one(without('recovery'), 'position missing').position).toBe('recovery');
  const noLoad = found(without('load')).filter(({ check }) => check === 'position missing');
  expect(noLoad.map(({ position }) => position)).toEqual(['load', 'action']);
  expect(one((leg) => ({ ...leg, actionMs: 100 }), 'position missing').position).toBe('action');
});

test('a base outside its range says its width and the range, in metres', () => {
  const narrow = one(moved(loadIndex(legF()), -0.35), 'base width');
  expect(narrow).toMatchObject({ position: 'load', unit: 'm' });
  expect(narrow.measured).toBeCloseTo(0.28, 2);
  expect(narrow.allowed[0]).toBeCloseTo(1.2 * 0.42, 6);
});

test('a path that bends is a detour, by its ratio', () => {
  const bent = one(moved(indexOf('travel'), 0, 1.4), 'detour');
  expect(bent).toMatchObject({ way: 'out', allowed: [1, 1.1] });
  expect(bent.measured).toBeGreaterThan(1.1);
});

test('a last step before the load that is not the shorter is named with the one before', () => {
  const far = laid(bare('star', 4.5));
  const leg = legOf(far, F);
  const last = leg?.placements.findLastIndex(({ phase }) => phase === 'travel') ?? 0;
  const before = leg?.placements[last - 1]?.at.x ?? 0;
  const finding = one(
    (each) => changePlacement(each, last - 1, { at: { x: before - 0.4, y: 0 } }),
    'braking step',
    far,
  );
  expect(finding.steps).toEqual([last]);
  expect(finding.measured).toBeGreaterThan(finding.allowed[1] ?? Infinity);
});

test('an open stance on the inside leg loads the wrong side; a closed one may', () => {
  const swapped = (leg: Leg) => changePlacement(leg, loadIndex(leg), { foot: 'left' });
  expect(one(swapped, 'loading side').position).toBe('load');
  const closed = found((leg) => ({ ...swapped(leg), load: 'closed' }));
  expect(closed.map(({ check }) => check)).not.toContain('loading side');
});

test('feet that cross in a shuffle are found, and only in a shuffle', () => {
  const shuffled = laid(bare('star', 2.5), { travel: 'shuffle out' });
  const index = legOf(shuffled, F)?.placements.findIndex(({ phase }) => phase === 'travel') ?? 0;
  const cross = (leg: Leg) => moved(index + 1, 1.2)(leg);
  const finding = one(cross, 'feet crossing', shuffled);
  expect(finding.steps).toEqual([index + 1]);
  expect(finding.measured).toBeGreaterThan(0.1);
  const run = found((leg) => moved(index, 1.2)(leg)).map(({ check }) => check);
  expect(run).not.toContain('feet crossing');
});

test('feet that would stand on each other overlap', () => {
  const { placements } = legF();
  const [a, b] = [placements.at(-2), placements.at(-1)];
  const finding = one(
    (leg) =>
      changePlacement(leg, leg.placements.length - 1, {
        at: { x: (a?.at.x ?? 0) + 0.04, y: b?.at.y ?? 0 },
      }),
    'feet overlapping',
  );
  expect(finding.measured).toBeLessThan(0.1);
});

test('a step nobody can make is too long, and one nobody can make in the time too fast', () => {
  expect(one(moved(indexOf('travel'), 3), 'step too long').allowed).toEqual([null, 1.6]);
  const rushed = (leg: Leg) =>
    changePlacement(leg, loadIndex(leg), {
      atMs: (leg.placements[loadIndex(leg) - 1]?.atMs ?? 0) + 40,
    });
  expect(one(rushed, 'step too fast').unit).toMatch(/^m/);
});

test('quickening is asked for before it is missed', () => {
  const slowed = (quicken: boolean) => (leg: Leg) => {
    const load = loadIndex(leg);
    const placements = leg.placements.map((placement, i) =>
      i >= load ? { ...placement, atMs: placement.atMs + 400 } : placement,
    );
    return {
      ...leg,
      quicken,
      placements,
      actionMs: leg.actionMs + 400,
      departureMs: leg.departureMs + 400,
    };
  };
  const far = laid(bare('star', 4.5), { travel: 'run forward' });
  expect(one(slowed(true), 'not quickening', far).unit).toBe('ms');
  expect(found(slowed(false), far).map(({ check }) => check)).not.toContain('not quickening');
});

test('a leg that stops before home is short of it', () => {
  const short = one(moved(legF().placements.length - 1, 0.5), 'short of home');
  expect(short.measured).toBeCloseTo(0.5, 6);
});

test('the split belongs in its window, on both feet at once', () => {
  const late = (leg: Leg) =>
    changePlacement(changePlacement(leg, 0, { atMs: 200 }), 0, { atMs: 200 });
  expect(one(late, 'split window')).toMatchObject({ measured: 200, allowed: [-60, 120] });
  expect(one((leg) => changePlacement(leg, 1, { atMs: 100 }), 'split uneven').measured).toBe(88);
});

test('a finding can be let stand with a reason, and is known again', () => {
  const narrow = moved(loadIndex(legF()), -0.35);
  const finding = one(narrow, 'base width');
  expect(findingKey(finding)).toBe('base width / F / load');
  const accepted = { ...good, accepted: [{ finding: findingKey(finding), reason: 'short legs' }] };
  expect(acceptedAs(accepted, one(narrow, 'base width', accepted))?.reason).toBe('short legs');
  expect(acceptedAs(good, finding)).toBeUndefined();
});

test('a target without feet has nothing amiss; a pattern is checked leg by leg', () => {
  expect(checkLeg(bare('star', 2.5), F)).toEqual([]);
  const two = changeLeg(
    changeLeg(good, 'F', (leg) => removePlacement(leg, 0)),
    'A',
    (leg) => removePlacement(leg, 0),
  );
  expect(new Set(checkFootwork(two).map(({ leg }) => leg))).toEqual(new Set(['A', 'F']));
});
