import type { Better, Change, PhaseChange, SeasonDay } from '@orthokin/core/stats';
import { phaseChangeWords, seasonDayWords, seasonSentence } from '../src/words/season.js';

const change = (changeMs: number, words: Change['words'] = 'clearly faster'): Change => ({
  ...{ beforeMs: 3000, afterMs: 3000 + changeMs, changeMs, daysBefore: 4, daysAfter: 4 },
  ...{ sdMs: 20, df: 9, detectableMs: 45, worthwhileMs: 20, p: 0.001, words },
  ...{ fasterChance: 0.99, slowerChance: 0.01, moreDays: 0 },
});
const better = (changeMs: number, words?: Change['words']) =>
  ({ change: change(changeMs, words) }) as Better;
const phases: PhaseChange[] = [
  { phase: 'reaction', change: change(-30, 'no clear change') },
  { phase: 'travel', change: change(-120) },
  { phase: 'recovery', change: change(-350) },
];

describe('a season in words', () => {
  test('says where most of a clear change came from', () => {
    expect(seasonSentence(better(-500), phases)).toBe(
      'Clearly faster: cycle 3.00 → 2.50 s, 0.50 s less. Mostly on the way home: 0.35 s of it.',
    );
  });

  test('and nothing of that where no phase made half of it, or it is not clear', () => {
    expect(seasonSentence(better(-900), phases)).not.toContain('Mostly');
    expect(seasonSentence(better(-500, 'probably faster'), phases)).not.toContain('Mostly');
    expect(seasonSentence(better(-500), [])).not.toContain('Mostly');
  });

  test('a phase that is not clear has no figure', () => {
    expect(phases.map(phaseChangeWords)).toEqual(['not clear', '−0.12 s', '−0.35 s']);
    expect(phaseChangeWords({ phase: 'travel', change: change(80, 'clearly slower') })).toBe(
      '+0.08 s',
    );
  });

  test('a day tells whoever does not see it what is drawn', () => {
    const set = {} as SeasonDay['sets'][number];
    const day: SeasonDay = {
      ...{ day: '2026-03-05', rung: 3, sets: [set, set], daysOff: 0, isTest: true },
      stretches: [
        { phases: ['reaction'], fromMs: 0, toMs: 260 },
        { phases: ['travel', 'load'], fromMs: 260, toMs: 1300 },
        { phases: ['recovery'], fromMs: 1300, toMs: 2520 },
      ],
      spreadMs: [2490, 2550],
    };
    expect(seasonDayWords(day, true)).toBe(
      'Mar 5, rung 3, the standard test: 2 sets, cycle 2.52 s; reaction 0.26; way out and to the action 1.04; way home 1.22; with a note',
    );
    const untimed = { ...day, isTest: false, sets: [set], stretches: [], spreadMs: null };
    expect(seasonDayWords(untimed, false)).toBe('Mar 5, rung 3: 1 set, not timed all the way home');
  });
});
