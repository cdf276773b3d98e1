import { ok, wrong } from '@orthokin/core/result';
import type { TargetBudget } from '@orthokin/core/budget';
import type { Finding } from '@orthokin/core/footwork';
import type { Fade, TravelLine } from '@orthokin/core/stats';
import type { RepReading } from '@orthokin/core/timing';
import { layoutTargets } from '@orthokin/core/pattern';
import { blankPattern, layLeg, usualPlan } from '@orthokin/core/footwork';
import { plainSentence, reachSentence } from '../src/words/budget.js';
import { findingSentence, whereWords } from '../src/words/finding.js';
import { fromHome, targetWords } from '../src/words/marker.js';
import { rhythmSentence } from '../src/words/rhythm.js';
import {
  differenceSentence,
  fadeSentence,
  residualSentence,
  signed,
  trialSentence,
} from '../src/words/set.js';
import { sourceWords } from '../src/words/limit.js';

const targets = layoutTargets('line', 2);

describe('a difference', () => {
  test.each([
    [120, '+0.12'],
    [-120, '−0.12'],
    [4, '0.00'],
    [-4, '0.00'],
    [0, '0.00'],
  ])('of %d ms is %s', (ms, words) => {
    expect(signed(ms)).toBe(words);
  });
});

describe('a fade', () => {
  const fade: Fade = {
    ...{ msPerRep: 12, interval: { low: 4, high: 20 }, n: 12, words: 'faded' },
    ...{ firstThirdMs: 1000, lastThirdMs: 1100 },
  };

  test('is said with its slope, its interval and its thirds', () => {
    const words = fadeSentence('cycle', fade);
    expect(words).toMatch(/faded: cycle grew/);
    for (const figure of ['+0.012', '+0.004', '+0.020', '1.00 s', '1.10 s', '12'])
      expect(words).toContain(figure);
  });

  test('that may be none is called no clear one, and too few reps say nothing', () => {
    expect(fadeSentence('cycle', { ...fade, words: 'sped up', msPerRep: -12 })).toMatch(
      /^It sped up: cycle changed by −0\.012 s a rep/,
    );
    expect(
      fadeSentence('cycle', { ...fade, words: 'no clear change', interval: { low: -4, high: 20 } }),
    ).toMatch(/^No clear change within the set/);
    expect(
      fadeSentence('cycle', { ...fade, interval: null, words: 'no clear change' }),
    ).not.toContain('95 %');
    expect(fadeSentence('cycle', null)).toMatch(/^Too few reps/);
  });
});

describe('a target beyond its distance', () => {
  const line = (off: readonly (readonly [string, number])[]): TravelLine => ({
    fit: { acceleration: 6.2, topSpeed: 3.1, n: 20, residualSdS: 0.05 } as TravelLine['fit'],
    residualsMs: new Map(off),
    sureToMs: new Map(off.map(([letter]) => [letter, 60])),
  });

  test('is named with by how much and how sure', () => {
    const words = residualSentence(
      line([
        ['A', 30],
        ['B', 140],
      ]),
      targets,
    );
    expect(words).toMatch(/^B/);
    expect(words).toContain('0.14');
    expect(words).toContain('0.06');
  });

  test('is none where no difference is beyond the doubt', () => {
    expect(
      residualSentence(
        line([
          ['A', 30],
          ['B', -140],
        ]),
        targets,
      ),
    ).toMatch(/^No target/);
  });
});

describe('trials of a set', () => {
  const reading = (
    trial: RepReading['trial'],
    faults: RepReading['faults'] = [],
    marks: RepReading['rep']['marks'] = null,
  ) => ({ trial, faults, rep: { struckOut: false, marks } }) as unknown as RepReading;

  test('say how many were held, followed and checked', () => {
    const words = trialSentence([
      reading('plain'),
      reading('catch'),
      reading('catch', ['moved on a catch trial']),
      reading('switch', ['wrong way']),
      reading('freeze', [], { checked: { held: 2, of: 3 } }),
    ]);
    expect(words).toMatch(/1 of 2/);
    expect(words).toMatch(/0 of 1/);
    expect(words).toMatch(/2 of 3/);
  });

  test('that were frozen and not checked say so; a plain set says nothing', () => {
    expect(trialSentence([reading('freeze')])).toMatch(/not checked/);
    expect(trialSentence([reading('plain')])).toBeNull();
    const struck = { ...reading('catch'), rep: { struckOut: true, marks: null } };
    expect(trialSentence([struck as unknown as RepReading])).toBeNull();
  });
});

describe('a rep against another', () => {
  const differ = (name: string, ms: number, isSure = true) =>
    ({ name, ms, isSure }) as Parameters<typeof differenceSentence>[0][number];

  test('names the phase that differs most, whichever way', () => {
    expect(
      differenceSentence([differ('travel', 40), differ('recovery', -90), differ('cycle', 500)]),
    ).toMatch(/^Recovery differs most: −0\.09/);
  });

  test('says nothing that the timing could not tell', () => {
    expect(differenceSentence([differ('travel', 40, false)])).toMatch(/^No phase differs/);
    expect(differenceSentence([])).toMatch(/^Nothing of it was timed/);
    expect(differenceSentence([differ('cycle', 40)])).toMatch(/^Nothing of it was timed/);
  });
});

describe('a rhythm', () => {
  test.each([
    [[], null, /^One step/],
    [[1], null, /1/],
    [[1, 0.82], true, /1 : 0\.82.*quickening/],
    [[1, 1.3], false, /1 : 1\.3.*not quickening/],
  ])('of %j (quickening: %s)', (ratios, quickens, words) => {
    expect(rhythmSentence({ ratios, quickens, intervalsMs: [], breaksAt: 0 })).toMatch(words);
  });
});

describe('where a marker stands', () => {
  test('is a distance and an angle from home, in the coach’s unit', () => {
    const [left] = targets;
    if (!left) throw new Error('No target.');
    expect(fromHome(left, 'metres')).toMatch(/^\d\.\d\d m, −?\d+°$/);
    expect(fromHome(left, 'feet')).toMatch(/′.*°$/);
    expect(targetWords(left, 'metres')).toContain(left.letter);
  });
});

describe('a finding of a leg', () => {
  const pattern = { ...blankPattern('Line'), targets };
  const [target] = targets;
  if (!target) throw new Error('No target.');
  const leg = layLeg(pattern, target, usualPlan(target));
  const finding = (part: Partial<Finding>): Finding => ({
    ...{ check: 'step too long', steps: [4], position: null, way: 'out', key: 'k', leg: 'A' },
    ...{ measured: 1.82, unit: 'm', allowed: [null, 1.6] },
    ...part,
  });
  const said = (part: Partial<Finding>) => findingSentence(finding(part), leg, 'metres');

  test('says which step, what was measured and what is allowed', () => {
    expect(said({})).toMatch(/^Step 5 .*: 1\.82 m.*at most 1\.60 m/);
    expect(said({ steps: [2, 4], allowed: [0.2, 1.6] })).toMatch(/^Step 3 and 5|^Steps? 3 and 5/);
    expect(said({ measured: null })).toMatch(/\.$/);
  });

  test.each<[Partial<Finding>, RegExp]>([
    [{ check: 'base width', position: 'stance', measured: 0.2, allowed: [0.4, 0.9] }, /narrow/],
    [{ check: 'base width', position: 'load', measured: 1.2, allowed: [0.4, 0.9] }, /wide/],
    [
      { check: 'split window', measured: -200, unit: 'ms', allowed: [-60, 120] },
      /early.*−?-?0\.20 s/,
    ],
    [{ check: 'split window', measured: 300, unit: 'ms', allowed: [-60, 120] }, /late/],
    [{ check: 'step too fast', measured: 9.4, unit: 'm/s', allowed: [null, 9] }, /9\.4 m\/s/],
    [{ check: 'short of home', steps: [], position: 'recovery' }, /short/],
    [{ check: 'position missing', steps: [], position: 'split', measured: null }, /split-step/],
  ])('%j', (part, words) => {
    expect(said(part)).toMatch(words);
  });

  test('says where: a step, a position, or a way', () => {
    expect(whereWords(finding({}))).toMatch(/5/);
    expect(whereWords(finding({ steps: [], position: 'load' }))).toMatch(/load/);
    expect(whereWords(finding({ steps: [], way: 'back' }))).not.toBe(
      whereWords(finding({ steps: [], way: 'out' })),
    );
  });
});

describe('how much time there is', () => {
  const flight = { timeS: 0.8, arrivalSpeed: 9, plainTimeS: 0.7, plainOffShare: 0.14 };
  const budget = (part: Partial<TargetBudget>): TargetBudget =>
    ({
      ...{ letter: 'A', distanceM: 2.4, flight: ok(flight), feasible: null },
      ...part,
    }) as TargetBudget;
  const feasible = (verdict: string, spareMs: number) =>
    ({ verdict, spareMs, needsMs: 700, stance: 'open' }) as unknown as TargetBudget['feasible'];

  test.each([
    ['yes', 200, /spare/],
    ['only just', 10, /only just/],
    ['no', -150, /out of reach|Out of reach/],
  ])('in reach: %s', (verdict, spareMs, words) => {
    expect(reachSentence(budget({ feasible: feasible(verdict, spareMs) }), 'Mara')).toMatch(words);
  });

  test('without a line of one’s own only the time is said; a flight that cannot be says why', () => {
    expect(reachSentence(budget({}), 'Mara')).toContain('0.80 s');
    expect(
      reachSentence(budget({ flight: wrong('launchSpeed', 0, 'more than 0') }), 'Mara'),
    ).toContain('too slow');
  });

  test('the figure in the head is off by a range over the targets', () => {
    expect(plainSentence([])).toBeNull();
    expect(plainSentence([budget({})])).toContain('14 %');
    const other = budget({ flight: ok({ ...flight, plainOffShare: 0.3 }) });
    expect(plainSentence([budget({}), other])).toMatch(/14.*30 %/);
  });
});

describe('where a limit is from', () => {
  const reckoned = { kind: 'reckoned', reckonedMs: 300, factor: 1.3 } as const;

  test.each([
    [
      { ...reckoned, how: 'reaction to one' },
      /130 % of 0\.30 s: a reaction with nothing to choose/,
    ],
    [
      { ...reckoned, how: 'reaction to a choice', choices: 4, msPerBit: 95 },
      /among 4, 95 ms more each time/,
    ],
    [{ ...reckoned, how: 'way home' }, /way home from the farthest target/],
    [{ ...reckoned, how: 'what the coach wrote long ago' }, /what the coach wrote long ago/],
    [{ kind: 'coach' } as const, /coach/],
    [undefined, /without|source/i],
  ])('%j', (source, words) => {
    expect(sourceWords(source)).toMatch(words);
  });
});
