import type { SquadLineReply } from '@orthokin/contract';
import type { Better, Change, ChangeWord } from '@orthokin/core/stats';
import { atHome, plainChange, standsAt } from '../src/words/report.js';
import { QUANTITIES } from '../src/words/quantity.js';

const better = (words: ChangeWord, beforeMs: number, afterMs: number): Better => {
  const change: Change = {
    ...{ words, beforeMs, afterMs, changeMs: afterMs - beforeMs, daysBefore: 3, daysAfter: 3 },
    ...{ interval: { low: -1, high: 1 }, worthwhileMs: 20, detectableMs: 60 },
    ...{ fasterChance: 0.5, slowerChance: 0.5, moreDays: 3 },
  } as unknown as Change;
  return { change } as Better;
};

describe('a report for the family', () => {
  test.each<[ChangeWord, number, number, RegExp]>([
    ['clearly faster', 3450, 2830, /: clearly quicker, by 0\.62 s \(3\.45 s, now 2\.83 s\)\.$/],
    ['clearly slower', 2830, 2930, /: clearly slower, by 0\.10 s/],
    ['probably faster', 2830, 2780, /: probably quicker.*More days will tell\.$/],
    ['no clear change', 2830, 2820, /: no clear change yet \(2\.83 s, lately 2\.82 s\)/],
  ])('%s', (words, before, after, said) => {
    expect(plainChange(better(words, before, after), 'cycle')).toMatch(said);
  });

  test('what cannot be compared yet says so, without a figure', () => {
    for (const why of ['no sets alike', 'a day in both'] as const)
      expect(plainChange(why, 'reaction')).toBe(
        'Setting off after the call: not enough training days yet to compare.',
      );
  });

  test('nothing in it needs a handbook', () => {
    const all = (['cycle', 'reaction', 'recovery'] as const)
      .flatMap((duration) =>
        (['clearly faster', 'no clear change'] as const).map((words) =>
          plainChange(better(words, 3000, 2900), duration),
        ),
      )
      .join(' ');
    expect(all).not.toMatch(/cue|median|interval|95|rung|typical error/i);
  });

  test('what to do at home begins with what mends the watched faults', () => {
    const plain = atHome([], []);
    const watched = atHome(['lean'], []);
    expect(watched.slice(1)).toEqual(plain);
    const own = atHome(
      ['own 1'],
      [{ fault: 'own 1', name: 'Hop', say: '', mend: 'Stand on a line.' }],
    );
    expect(own[0]).toBe('Stand on a line.');
  });

  test('where somebody stands is said as a step', () => {
    const line = { rung: 2, rungs: 6, rungName: 'All six', patternName: 'Star' } as SquadLineReply;
    expect(standsAt('Nell', line)).toBe('Nell works on Star and stands on step 2 of 6: All six.');
  });
});

describe('what every figure means', () => {
  const all = Object.values(QUANTITIES);

  test('each has its own name, and says what it means, how it is worked out, how sure it is', () => {
    expect(new Set(all.map(({ name }) => name)).size).toBe(all.length);
    for (const { means, how, sure } of all)
      for (const text of [means, how, sure]) expect(text).toMatch(/^[A-Z].{15,}[.]$/s);
  });

  test('each is short enough to be read beside a floor', () => {
    for (const { means, how, sure } of all) {
      expect(means.length).toBeLessThanOrEqual(90);
      expect(how.length + sure.length).toBeLessThanOrEqual(420);
    }
  });
});
