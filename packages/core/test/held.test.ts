import fc from 'fast-check';
import { seededRandom } from '@orthokin/core/cue';
import {
  beginPlan,
  heldBlocks,
  loadRises,
  minutesHere,
  toBlock,
  usualBlock,
  withPresent,
  type WeekLoad,
} from '@orthokin/core/plan';
import { mirrorPattern, movementsOfRep } from '@orthokin/core/pattern';
import { bare, laid } from './patterns.js';

const MINUTE = 60_000;
const SESSION = {
  blocks: [
    usualBlock('warm', 'warm-up'),
    usualBlock('play', 'play'),
    usualBlock('calm', 'cool-down'),
  ],
  athleteIds: ['anna', 'ben'],
};

describe('a session as it was held', () => {
  test('blocks lie where they were run; one passed by is none, one begun again is one', () => {
    let run = beginPlan(SESSION, 0);
    run = toBlock(SESSION, run, 0, 2 * MINUTE);
    run = toBlock(SESSION, run, 1, 8 * MINUTE);
    run = toBlock(SESSION, run, 2, 8 * MINUTE + 3000);
    run = toBlock(SESSION, run, 3, 12 * MINUTE);
    expect(heldBlocks(SESSION, run, 30 * MINUTE)).toEqual([
      { blockId: 'warm', kind: 'warm-up', title: '', fromMs: 0, toMs: 8 * MINUTE },
      {
        ...{ blockId: 'calm', kind: 'cool-down', title: '' },
        ...{ fromMs: 8 * MINUTE + 3000, toMs: 12 * MINUTE },
      },
    ]);
  });

  test('a block in which something was counted is one however short', () => {
    const run = toBlock(SESSION, toBlock(SESSION, beginPlan(SESSION, 0), 1, MINUTE), 2, MINUTE + 1);
    const ids = (counted?: ReadonlySet<string>) =>
      heldBlocks(SESSION, run, 2 * MINUTE, counted).map(({ blockId }) => blockId);
    expect(ids()).toEqual(['warm', 'calm']);
    expect(ids(new Set(['play']))).toEqual(['warm', 'play', 'calm']);
  });

  test('of a game it is kept how it was played, of a challenge how many were wanted', () => {
    const blocks = [
      usualBlock('game', 'reaction game'),
      { ...usualBlock('wall', 'challenge'), wanted: 20 },
      usualBlock('play', 'play'),
    ];
    const session = { blocks, athleteIds: ['anna', 'ben'] };
    let run = beginPlan(session, 0);
    for (const place of [1, 2, 3]) run = toBlock(session, run, place, place * MINUTE);
    const [game, wall, play] = heldBlocks(session, run, 9 * MINUTE);
    expect(game).toMatchObject({ game: 'drop and catch' });
    expect(wall).toMatchObject({ wanted: 20 });
    expect(play).not.toHaveProperty('game');
  });

  test('each has the minutes they were here for; what comes after the end counts for nobody', () => {
    let run = beginPlan(SESSION, 0);
    run = withPresent(SESSION, run, ['ben'], 10 * MINUTE);
    run = withPresent(SESSION, run, ['ben', 'cleo'], 20 * MINUTE);
    run = toBlock(SESSION, run, 3, 35 * MINUTE);
    expect(minutesHere(SESSION, run, 300 * MINUTE)).toEqual([
      { athleteId: 'anna', minutes: 10 },
      { athleteId: 'ben', minutes: 35 },
      { athleteId: 'cleo', minutes: 15 },
    ]);
  });

  test('blocks never overlap, and nobody was here longer than it went on', () => {
    const step = fc.record({
      place: fc.integer({ min: 0, max: 3 }),
      after: fc.integer({ min: 0, max: 900_000 }),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        let [run, now] = [beginPlan(SESSION, 0), 0];
        for (const { place, after } of steps) {
          now += after;
          run = toBlock(SESSION, run, place, now);
        }
        const held = heldBlocks(SESSION, run, now);
        held
          .slice(1)
          .forEach(({ fromMs }, i) => expect(fromMs).toBeGreaterThanOrEqual(held[i]?.toMs ?? 0));
        for (const { minutes } of minutesHere(SESSION, run, now))
          expect(minutes).toBeLessThanOrEqual(Math.max(1, Math.round(now / MINUTE)));
      }),
    );
  });
});

describe('the load of weeks', () => {
  const week = (effort: number | null, splits: number | null = null): WeekLoad => ({
    ...{ monday: '2026-03-02', minutes: 60, effort },
    movements: splits === null ? null : { splits, lunges: 0, jumps: 0 },
  });

  test('more than 30 % over the mean of the four weeks before is a jump; 30 % is none', () => {
    const before = [week(200), week(400), week(300), week(300)];
    expect(loadRises([...before, week(390)])).toEqual([]);
    expect(loadRises([...before, week(391)])).toEqual([{ figure: 'effort', now: 391, usual: 300 }]);
    // Older weeks say nothing of now.
    expect(loadRises([week(5000), ...before, week(391)])).toHaveLength(1);
  });

  test('a week off counts as one; a week before anything was kept does not', () => {
    expect(loadRises([week(0), week(400), week(400), week(400), week(400)])).toHaveLength(1);
    expect(loadRises([week(null), week(400), week(400), week(400), week(900)])).toEqual([]);
    const splits = [week(null, 40), week(null, 40), week(90, 40), week(90, 40)];
    expect(loadRises([...splits, week(900, 60)])).toEqual([
      { figure: 'splits', now: 60, usual: 40 },
    ]);
  });

  test('of fewer than four weeks before, or of a figure that never was, nothing is said', () => {
    expect(loadRises([week(100), week(100), week(100), week(900)])).toEqual([]);
    expect(loadRises([week(0), week(0), week(0), week(0), week(100)])).toEqual([]);
    expect(loadRises([])).toEqual([]);
  });
});

describe('what a rep asks of the legs', () => {
  const lunging = laid(bare('cross', 3), { travel: 'lunge' });

  test('a lunge to a target counts once; so does a jump of both feet; the side makes no difference', () => {
    expect(movementsOfRep(lunging, 'A')).toEqual({ splits: 1, lunges: 1, jumps: 0 });
    const hopping = laid(bare('cross', 3, 'left'), { travel: 'hop load' });
    for (const { letter } of hopping.targets)
      expect(movementsOfRep(hopping, letter)).toEqual(
        movementsOfRep(mirrorPattern(hopping), letter),
      );
    expect(movementsOfRep(hopping, 'A').jumps).toBe(1);
  });

  test('of a target without feet a split-step is all that is known', () =>
    expect(movementsOfRep(bare('cross', 3), 'A')).toEqual({ splits: 1, lunges: 0, jumps: 0 }));
});

test('how often somebody who trains steadily is named: the price of a prompt at 30 %', () => {
  const random = seededRandom(7);
  const draws = (n: number, p: number) =>
    Array.from({ length: n }, random).filter((x) => x < p).length;
  const share = (sessions: number): number => {
    const runs = 4000;
    const named = Array.from({ length: runs }, () => {
      const weeks = Array.from({ length: 5 }, (): WeekLoad => {
        const efforts = Array.from({ length: draws(sessions, 0.88) }, () => 4 + 3 * random());
        const effort = Math.round(efforts.reduce((sum, hard) => sum + 60 * hard, 0));
        return { monday: '2026-03-02', minutes: 60 * efforts.length, effort, movements: null };
      });
      return loadRises(weeks).length;
    });
    return named.filter((n) => n > 0).length / runs;
  };
  const measured = [1, 2, 3].map(share);
  // One, two, three sessions a week: what docs/measurement.md says of it.
  [0.25, 0.18, 0.12].forEach((said, i) => expect(measured[i]).toBeCloseTo(said, 1));
});
