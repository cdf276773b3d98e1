import { ownSpeedOf, PROJECTILES, targetBudget, type OwnSpeed } from '@orthokin/core/budget';
import { layoutTargets } from '@orthokin/core/pattern';
import {
  flightWords,
  ownSpeedSentence,
  plainSentence,
  reachSentence,
} from '../src/words/budget.js';
import { usualRally, type RallyPlan } from '../src/ladder/budget/usual-rally.js';

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
    expect(reachSentence(none, 'Ada')).toContain('launchSpeed: given 0');
    expect(plainSentence([none])).toBeNull();
    expect(flightWords({ ...squash, projectile: PROJECTILES[0], unit: 'km/h' }, 9.24, 'A')).toBe(
      'squash ball, 50 km/h over 9.2 m to A',
    );
  });
});
