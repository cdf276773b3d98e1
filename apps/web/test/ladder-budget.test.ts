import { ownSpeedOf, PROJECTILES, targetBudget, type OwnSpeed } from '@orthokin/core/budget';
import { layoutTargets } from '@orthokin/core/pattern';
import {
  hasOwnPlaces,
  movedHome,
  withBounce,
  withoutOwnPlaces,
  withTaken,
} from '../src/ladder/budget/own-places.js';
import {
  bestHomeSentence,
  flightWords,
  noRecoverySentence,
  ownReachSentence,
  ownSpeedSentence,
  plainSentence,
  reachSentence,
  spareWords,
} from '../src/words/budget.js';
import { USUAL_LIFT, usualRally, type RallyPlan } from '../src/ladder/budget/usual-rally.js';

const targets = layoutTargets('star', 3);
const [target] = targets as [(typeof targets)[number]];
const squash = usualRally({ sport: 'Squash' });

describe('how much time there is', () => {
  test('to begin with it is what flies in the sport', () => {
    expect(squash.projectile.name).toBe('squash ball');
    expect(squash.coming.wallForwardM).not.toBeNull();
    expect(usualRally({ sport: 'badminton' }).projectile.name).toBe('shuttlecock');
    expect(usualRally({ sport: 'quidditch' }).projectile.name).toBe('tennis ball');
  });

  test('an athlete’s own line comes from their own ways', () => {
    const spread = {
      targets: targets.map((each, i) => ({ ...each, at: { x: 1 + i * 0.6, y: 0 } })),
    };
    const ways = {
      target: targets.flatMap(({ letter }) => [letter, letter]),
      reaction: targets.flatMap(() => [240, 260]),
      travel: spread.targets.flatMap(({ at: { x } }) => {
        const ms = 1000 * (x <= 2 ? 2 * Math.sqrt(x / 8) : x / 4 + 0.5);
        return [ms, ms];
      }),
    };
    const own = ownSpeedOf(ways, spread);
    if (!own.ok) throw new Error(own.problem.allowed);
    expect(own.value.reactionMs).toBe(250);
    expect(own.value.travel.acceleration).toBeCloseTo(8, 1);
    expect(own.value.travel.topSpeed).toBeCloseTo(4, 1);
    expect(ownSpeedSentence('Ada', own.value)).toMatch(
      /^Ada: reaction 0\.25 s, speeding up at 8\.0/,
    );
    expect(ownSpeedOf({ ...ways, travel: ways.travel.map(() => null) }, spread)).toMatchObject({
      ok: false,
    });
    expect(ownSpeedOf({ ...ways, reaction: ways.reaction.map(() => null) }, spread)).toMatchObject({
      problem: { field: 'reactions' },
    });
  });

  const own = (topSpeed: number): OwnSpeed => ({
    ...{ reactionMs: 250, n: 20 },
    travel: { acceleration: 10, topSpeed, n: 20, rss: 0, residualSdS: 0.02 },
  });

  test('slower is out of reach, quicker is in it, and the words say by how much', () => {
    const slow = targetBudget(target, { ...squash, speed: 40 }, own(2));
    expect(slow.feasible?.verdict).toBe('no');
    expect(reachSentence(slow, 'Ada')).toMatch(
      /^A needs \d\.\d m in 0\.\d\d s; Ada’s own line says \d\.\d\d s: out of reach by \d\.\d\d s\.$/,
    );
    const easy = targetBudget(target, { ...squash, speed: 4 }, own(5));
    expect(easy.feasible?.verdict).toBe('yes');
    expect(reachSentence(easy, 'Ada')).toContain('to spare, load stepped in');
    expect(reachSentence(targetBudget(target, squash, null), 'Ada')).toMatch(/^A needs .* s\.$/);
  });

  test('the head’s figure is too little, and what cannot fly says why', () => {
    const budgets = targets.map((each) => targetBudget(each, squash, null));
    expect(plainSentence(budgets)).toMatch(
      /^Distance over speed would say \d+ to \d+ % too little/,
    );
    const still: RallyPlan = { ...squash, speed: 0 };
    const none = targetBudget(target, still, null);
    expect(reachSentence(none, 'Ada')).toBe('A: it is too slow to get there so.');
    expect(plainSentence([none])).toBeNull();
    expect(flightWords({ ...squash, projectile: PROJECTILES[0], unit: 'km/h' }, 9.24, 'A')).toBe(
      'squash ball, 50 km/h over 9.2 m to A',
    );
  });

  test('a thing is moved, and put back where the pattern has it', () => {
    const [a, b] = targets as [(typeof targets)[number], (typeof targets)[number]];
    const moved = withTaken(withBounce(movedHome(squash, { x: 0, y: -1 }), b.letter, 1.26), a, {
      x: a.at.x + 1,
      y: a.at.y,
    });
    expect(moved.waitsAt).toEqual({ x: 0, y: -1 });
    expect(moved.taken).toEqual({
      [a.letter]: { at: { x: a.at.x + 1, y: a.at.y } },
      [b.letter]: { bounceBeforeM: 1.3 },
    });
    expect(hasOwnPlaces(moved)).toBe(true);
    // Put back by hand, one thing after the other; what else was settled of a target stays.
    expect(movedHome(moved, { x: 0.05, y: 0 }).waitsAt).toBeUndefined();
    expect(withTaken(moved, a, a.at).taken).toEqual({ [b.letter]: { bounceBeforeM: 1.3 } });
    const both = withTaken(moved, b, { x: 0, y: 0 });
    expect(withTaken(both, b, b.at).taken?.[b.letter]).toEqual({ bounceBeforeM: 1.3 });
    expect(withoutOwnPlaces(moved)).toEqual(squash);
    expect(withBounce(squash, 'A', 0).taken?.['A']?.bounceBeforeM).toBe(0.1);
  });

  test('what is to spare has a mark, and a better place to wait is told with what it brings', () => {
    const feasible = { needsMs: 900, stance: 'open' } as const;
    expect(spareWords({ ...feasible, spareMs: 210, verdict: 'yes' })).toBe('+0.21');
    expect(spareWords({ ...feasible, spareMs: -40, verdict: 'only just' })).toBe('≈ −0.04');
    expect(spareWords({ ...feasible, spareMs: -300, verdict: 'no' })).toBe('× −0.30');
    expect(
      bestHomeSentence(
        { at: { x: 0.2, y: -0.5 }, spareMs: 60, nowSpareMs: -120 },
        { x: 0, y: 0 },
        'Ada',
      ),
    ).toBe(
      'Waiting 0.5 m further back, 0.2 m to the right (green ring), Ada’s tightest target would be 0.06 s in time instead of 0.12 s late.',
    );
    const slow = { ...squash, ownSpeed: 0.1, lift: USUAL_LIFT };
    expect(noRecoverySentence([targetBudget(target, slow, null)])).toMatch(/from A, going back: /);
    expect(noRecoverySentence([targetBudget(target, squash, null)])).toBeNull();
    expect(flightWords({ ...squash, lift: { ...USUAL_LIFT, isLobbed: true } }, 8, 'A')).toMatch(
      /squash ball lobbed, 50 km/,
    );
  });
});

test('where a reach is from is said, and that none is known', () => {
  const reach = (
    reachM: number,
    from: 'measured' | 'from height',
    held: 'racket' | 'hand' | null = null,
  ) => ownReachSentence('Ada', { reachM, drillReachM: 0, from, held });
  expect(reach(1.3, 'measured')).toMatch(/^Ada takes what comes 1\.3 m from .*\(measured\)/);
  expect(reach(1.3, 'measured', 'racket')).toContain('(measured with a racket)');
  expect(reach(0.8, 'measured', 'hand')).toContain('(measured with the hand)');
  expect(reach(0.75, 'from height')).toContain('without what is held');
  expect(reach(0, 'measured')).toMatch(/^Neither reach nor height of Ada/);
});
