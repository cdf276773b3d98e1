import { PLAIN_CONDITIONS, type Conditions } from '@orthokin/core/drill';
import type { Target } from '@orthokin/core/floor';
import type { Foreseen } from '@orthokin/core/progress';
import { mended } from '../src/floor/set-up/mended.js';
import { USUAL_CHOICES } from '../src/floor/plan-drill.js';
import { cueWords, wordsOfSet } from '../src/drill/cue-words.js';
import {
  cuesWords,
  foreseenWords,
  mendWords,
  stakesWords,
  timingWords,
  whoWords,
} from '../src/words/set-up.js';
import { PLAN } from './plan.js';

const [rung] = PLAN.pattern.rungs;

describe('what a set will be', () => {
  test('on what, and who else works', () => {
    const own = whoWords(PLAN.pattern, rung, 0);
    expect(own).toBe(
      `${PLAN.pattern.name}, rung 1 of ${PLAN.pattern.rungs.length}: ${rung?.name ?? ''}`,
    );
    expect(whoWords(PLAN.pattern, rung, 1)).toBe(`${own}, with one other`);
    expect(whoWords(PLAN.pattern, rung, 3)).toBe(`${own}, with 3 others`);
  });

  test.each([
    [{}, { reps: 1, sets: 1 }, '', '1 rep, mixed; the marker and a tone'],
    [{}, { reps: 10, sets: 3 }, '', '3 × 10 reps, mixed; the marker and a tone'],
    [
      { workMs: 25_000, order: 'known' as const, cueKinds: ['spoken' as const] },
      { reps: 10, sets: 1 },
      '20 % catch',
      '25 s of work, round in turn; a voice; 20 % catch',
    ],
  ])('how much and how cued: %j %j', (change, amount, tests, said) => {
    expect(cuesWords({ ...PLAIN_CONDITIONS, ...change }, amount, tests)).toBe(said);
  });

  test('what happens when a rep goes wrong; technique only where something is watched', () => {
    const said = (change: Partial<Conditions>) => stakesWords({ ...PLAIN_CONDITIONS, ...change });
    expect(said({})).toBe('the set is as long as it is');
    expect(said({ endsOnFaults: true })).toBe('the set is as long as it is');
    const cost = { lossCost: { reps: 2, most: 8 } };
    expect(said(cost)).toBe('each lost rep adds 2, up to 8');
    expect(said({ ...cost, workMs: 20_000 })).toBe('the set is as long as it is');
    expect(said({ ...cost, endsOnFaults: true, watched: ['lean'] })).toContain(
      'ends after two reps running with a watched fault',
    );
  });

  test('a colour is said, with the letter where two targets have it', () => {
    const [first, second] = PLAN.pattern.targets;
    if (!first || !second) throw new Error('two targets');
    const plan = (targets: readonly Target[]) => ({
      pattern: { targets },
      conditions: { cueKinds: ['spoken colour' as const] },
    });
    const apart = plan([first, { ...second, colour: 'green' }]);
    expect(cueWords(apart, first.letter)).toEqual([first.colour]);
    const alike = plan([first, { ...second, colour: first.colour }]);
    expect(cueWords(alike, second.letter)).toEqual([first.colour, second.letter]);
    expect(wordsOfSet(apart)).toEqual(expect.arrayContaining(['green', 'more', 'stop']));
  });

  test('what times it, by hand with its error', () => {
    expect(timingWords('hand', 45)).toBe('By hand: first move, action and home, each ±0.05 s');
    const others = (['sensor', 'none', 'simulated', 'film'] as const).map((source) =>
      timingWords(source, 45),
    );
    expect(new Set(others).size).toBe(4);
    expect(others.join()).not.toContain('±');
  });
});

describe('what it will not show', () => {
  const inTime: Foreseen = {
    ...{ kind: 'too few reps', expected: 6, needed: 8 },
    mend: { workMs: 35_000 },
  };
  const inReps: Foreseen = { ...inTime, expected: 0, mend: { reps: 12 } };
  const close: Foreseen = {
    ...{ kind: 'too close by hand', gate: 'reaction', limitMs: 310, share: 0.62 },
  };
  const guessable: Foreseen = { kind: 'cues give away' };

  test('is said in a line, with the press that mends it', () => {
    expect(foreseenWords(inTime)).toBe(
      'About 6 counted reps to be expected; the rung judges by 8 or more.',
    );
    expect(foreseenWords(inReps)).toMatch(/^About no rep to be expected/);
    expect([inTime, inReps, close, guessable].map(mendWords)).toEqual([
      'Work for 35 s',
      'Do 12 reps',
      'Time by beacons',
      'Cues as the rung asks',
    ]);
    expect(foreseenWords(close)).toBe(
      'By hand most reps will be too close to the reaction limit of 0.31 s to call: about 62 %.',
    );
    expect(foreseenWords(guessable)).toContain('will not count for the ladder');
  });

  test('pressed, the choices are what was said, and nothing else of them changes', () => {
    const choices = { ...USUAL_CHOICES, asRung: false };
    expect(mended(choices, inReps)).toEqual({ ...choices, reps: 12 });
    expect(mended(choices, inTime)).toEqual({
      ...choices,
      seconds: 35,
      conditions: { ...choices.conditions, workMs: 35_000 },
    });
    expect(mended(choices, close)).toEqual({ ...choices, source: 'sensor' });
    expect(mended(choices, guessable)).toEqual({ ...choices, asRung: true });
  });
});
