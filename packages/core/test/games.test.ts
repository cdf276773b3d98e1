import fc from 'fast-check';
import { firstRound, GAME_WAYS, nextRound, winsOf, type GameRound } from '@orthokin/core/plan';

const names = (n: number): string[] => Array.from({ length: n }, (_, i) => `athlete ${i + 1}`);
const everyone = ({ courts, waits }: GameRound): string[] => [...courts.flat(), ...waits].sort();

test('up a court, down a court: winners rise, losers fall, whoever waits comes on at the bottom', () => {
  const first = firstRound(names(5), 2);
  expect(first).toEqual({
    courts: [
      ['athlete 1', 'athlete 2'],
      ['athlete 3', 'athlete 4'],
    ],
    waits: ['athlete 5'],
  });
  expect(nextRound(first, ['athlete 2', 'athlete 3'], 'up a court, down a court')).toEqual({
    courts: [
      ['athlete 2', 'athlete 3'],
      ['athlete 1', 'athlete 5'],
    ],
    waits: ['athlete 4'],
  });
  const full = firstRound(names(4), 2);
  expect(nextRound(full, ['athlete 1', 'athlete 4'], 'up a court, down a court').courts).toEqual([
    ['athlete 1', 'athlete 4'],
    ['athlete 2', 'athlete 3'],
  ]);
});

test('winner stays: the loser waits; where nobody waits losers go on to the next court', () => {
  const three = firstRound(names(3), 1);
  expect(nextRound(three, ['athlete 2'], 'winner stays')).toEqual({
    courts: [['athlete 2', 'athlete 3']],
    waits: ['athlete 1'],
  });
  const four = firstRound(names(4), 2);
  expect(nextRound(four, ['athlete 1', 'athlete 3'], 'winner stays').courts).toEqual([
    ['athlete 1', 'athlete 4'],
    ['athlete 3', 'athlete 2'],
  ]);
});

test('whoever wins: everybody is somewhere once, nobody waits twice before another waits once', () => {
  const any = fc.record({
    people: fc.integer({ min: 0, max: 17 }),
    courts: fc.integer({ min: 0, max: 9 }),
    way: fc.constantFrom(...GAME_WAYS),
    wins: fc.array(fc.array(fc.boolean(), { minLength: 8, maxLength: 8 }), { maxLength: 20 }),
  });
  fc.assert(
    fc.property(any, ({ people, courts, way, wins }) => {
      const all = names(people).sort();
      let round = firstRound(names(people), courts);
      const played: { round: GameRound; winners: string[] }[] = [];
      for (const results of wins) {
        expect(everyone(round)).toEqual(all);
        const winners = round.courts.map(([one, other], i) => (results[i] ? one : other));
        played.push({ round, winners });
        const after = nextRound(round, winners, way);
        const places = round.courts.length;
        // Whoever waited first plays: the queue moves on.
        if (way === 'winner stays' || places === 0)
          expect(after.courts.flat()).toEqual(expect.arrayContaining(round.waits.slice(0, places)));
        else expect(after.courts.flat()).toEqual(expect.arrayContaining(round.waits.slice(0, 1)));
        round = after;
      }
      const won = winsOf(played);
      const total = won.reduce((sum, one) => sum + one.wins, 0);
      expect(total).toBe(played.length * (played[0]?.round.courts.length ?? 0));
    }),
  );
});
