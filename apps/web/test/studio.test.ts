import fc from 'fast-check';
import {
  blankPattern,
  checkLeg,
  layLeg,
  rhythmOf,
  usualPlan,
  type Finding,
} from '@orthokin/core/footwork';
import { distance } from '@orthokin/core/floor';
import {
  changeLeg,
  changePlacement,
  layoutTargets,
  legOf,
  loadIndex,
  withLeg,
  type Pattern,
} from '@orthokin/core/pattern';
import { stepNumberPlaces } from '../src/parts/plan/step-numbers.js';
import { viewOfCourt, viewOfLeg, viewOfTargets } from '../src/parts/plan/view.js';
import { fileName } from '../src/parts/download.js';
import { findingSentence } from '../src/words/finding.js';
import { begin, change, redo, undo } from '../src/parts/history.js';
import { fromHome } from '../src/words/marker.js';
import { baseWords, headingWords } from '../src/words/check-point.js';
import { rhythmSentence } from '../src/words/rhythm.js';
import { nudged } from '../src/parts/plan/floor-place.js';

const bare: Pattern = { ...blankPattern('Star'), targets: layoutTargets('star', 2.5) };
const star = bare.targets.reduce(
  (done, target) => withLeg(done, layLeg(done, target, usualPlan(target))),
  bare,
);
const named = (name: string): Pattern => ({ ...bare, name });

describe('history', () => {
  test('any run of changes can be undone to the original and redone to the last', () => {
    fc.assert(
      fc.property(fc.array(fc.string(), { maxLength: 30 }), (names) => {
        const last = names.reduce((now, name) => change(now, named(name)), begin(bare));
        let back = last;
        for (let n = 0; n < names.length; n++) back = undo(back);
        expect(back.present).toBe(bare);
        let again = back;
        for (let n = 0; n < names.length; n++) again = redo(again);
        expect(again.present).toBe(last.present);
      }),
    );
  });

  test('a gesture is one step; another gesture, or none, is another', () => {
    let now = begin(bare);
    for (const [name, gesture] of [
      ['a', 'drag 1'],
      ['b', 'drag 1'],
      ['c', 'drag 2'],
      ['d', null],
    ] as const)
      now = change(now, named(name), gesture);
    const names = [];
    while (now.past.length > 0) {
      now = undo(now);
      names.push(now.present.name);
    }
    expect(names).toEqual(['c', 'b', 'Star']);
  });

  test('a new change forgets what was undone; what changes nothing is no step', () => {
    const undone = undo(change(begin(bare), named('a')));
    expect(redo(change(undone, named('b'))).present.name).toBe('b');
    expect(change(undone, undone.present)).toBe(undone);
    expect(undo(begin(bare)).present).toBe(bare);
  });
});

describe('a finding in words', () => {
  const narrow = changeLeg(star, 'F', (leg) => {
    const index = loadIndex(leg);
    const at = leg.placements[index]?.at ?? { x: 0, y: 0 };
    return changePlacement(leg, index, { at: { x: at.x - 0.35, y: at.y } });
  });
  const leg = legOf(narrow, 'F');
  const sentence = (check: Finding['check'], unit: 'metres' | 'feet' = 'metres') => {
    const finding = checkLeg(narrow, 'F').find((each) => each.check === check);
    return finding && leg ? findingSentence(finding, leg, unit) : null;
  };

  test('says what, where, the number and what is allowed, in the coach’s unit', () => {
    expect(sentence('base width')).toBe(
      'Base in the load is too narrow: 0.28 m, 0.50 m to 1.18 m allowed.',
    );
    expect(sentence('base width', 'feet')).toContain('0′ 11″, 1′ 8″ to 3′ 10″ allowed');
  });

  const about = (finding: Partial<Finding> & Pick<Finding, 'check'>): string => {
    if (!leg) throw new Error('no leg');
    const none = { position: null, way: null, steps: [], measured: null, unit: null } as const;
    return findingSentence({ ...none, leg: 'F', allowed: [null, null], ...finding }, leg, 'metres');
  };

  test.each([
    [{ check: 'position missing', position: 'split' }, 'The split-step is missing.'],
    [
      { check: 'detour', way: 'back', measured: 1.237, allowed: [1, 1.1], unit: 'times' },
      'A detour on the way back: 1.24, 1.00 to 1.10 allowed.',
    ],
    [
      { check: 'braking step', steps: [4], measured: 0.8, allowed: [null, 0.6], unit: 'm' },
      'Braking step 5 is not shorter than the one before: 0.80 m, at most 0.60 m allowed.',
    ],
    [
      { check: 'step too fast', steps: [2], measured: 12.34, allowed: [null, 9], unit: 'm/s' },
      'Step 3 is too fast to be possible: 12.3 m/s, at most 9.0 m/s allowed.',
    ],
    [
      { check: 'split window', position: 'split', measured: 200, allowed: [-60, 120], unit: 'ms' },
      'The split lands too late: 0.20 s, -0.06 s to 0.12 s allowed.',
    ],
  ] as const)('%o', (finding, words) => {
    expect(about(finding)).toBe(words);
  });
});

describe('words and figures', () => {
  test('positions say their base in centimetres and shoulders, and where the toes point', () => {
    expect(baseWords(star.stance, star, 'metres')).toBe('base 59 cm, 1.4 × shoulders');
    expect(headingWords(star.stance)).toBe('toes −10° left, 10° right');
  });

  test('a rhythm is said as a ratio, and whether it quickens', () => {
    expect(rhythmSentence(rhythmOf([0, 200, 380, 520]))).toBe(
      'Rhythm out, each step as a part of the first: 1 : 0.9 : 0.7, quickening.',
    );
    expect(rhythmSentence(rhythmOf([0, 200, 500]))).toBe(
      'Rhythm out, each step as a part of the first: 1 : 1.5, not quickening.',
    );
    expect(rhythmSentence(rhythmOf([0, 200]))).toBe(
      'Rhythm out, each step as a part of the first: 1.',
    );
    expect(rhythmSentence(rhythmOf([0]))).toBe('One step out has no rhythm.');
  });

  test('a marker stands so far from home base, in that direction', () => {
    expect(fromHome({ at: { x: 0, y: 3 } }, 'metres')).toBe('3.00 m, 0°');
    expect(fromHome({ at: { x: 2, y: 0 } }, 'feet')).toBe('6′ 7″, 90°');
  });

  test('files are named so that any system takes them', () => {
    expect(fileName('Star from the T, left-handed', 'json')).toBe(
      'star-from-the-t-left-handed.json',
    );
    expect(fileName('★', 'svg')).toBe('pattern.svg');
  });
});

describe('the drawing', () => {
  test('arrow keys move by 5 cm, with Shift by 1 cm, and no other key does', () => {
    expect(nudged({ x: 1, y: 2 }, 'ArrowLeft', false)).toEqual({ x: 0.95, y: 2 });
    expect(nudged({ x: 1, y: 2 }, 'ArrowUp', true)).toEqual({ x: 1, y: 2.01 });
    expect(nudged({ x: 1, y: 2 }, 'a', false)).toBeNull();
  });

  test('step numbers never stand on each other, and on no sole where there is room', () => {
    for (const { placements } of star.legs) {
      const places = stepNumberPlaces(placements);
      for (const [i, a] of places.entries())
        for (const b of places.slice(i + 1)) expect(distance(a, b)).toBeGreaterThan(0.1);
    }
  });

  test('every view holds what it is to show', () => {
    for (const { at } of star.targets) {
      for (const view of [viewOfCourt(star), viewOfTargets(star), viewOfLeg(at)]) {
        expect(at.x).toBeGreaterThan(view.x);
        expect(at.x).toBeLessThan(view.x + view.width);
        expect(-at.y).toBeGreaterThan(view.y);
        expect(-at.y).toBeLessThan(view.y + view.height);
      }
    }
  });
});
