import {
  HELPER_ROLES,
  overStations,
  rotation,
  sharesOf,
  stationGroups,
  type Rotated,
  type Round,
} from '@orthokin/core/plan';
import fc from 'fast-check';

const names = (n: number): string[] => Array.from({ length: n }, (_, i) => `athlete ${i + 1}`);
const worksOf = (rounds: readonly Round[], id: string): number =>
  rounds.filter(({ stations }) => stations.some((turn) => turn?.works === id)).length;
const spread = (counts: readonly number[]): number => Math.max(...counts) - Math.min(...counts);

const asked = fc.record({
  athleteIds: fc.integer({ min: 1, max: 12 }).map(names),
  stations: fc.integer({ min: 1, max: 4 }),
  sets: fc.integer({ min: 1, max: 6 }),
  workS: fc.integer({ min: 5, max: 60 }),
  restS: fc.integer({ min: 0, max: 120 }),
  helpers: fc.uniqueArray(fc.constantFrom(...HELPER_ROLES)),
});

test('nine on two courts with a caller each: everybody works four times, calls, and rests', () => {
  const rounds = rotation({
    ...{ athleteIds: names(9), stations: 2, sets: 4, workS: 60, restS: 120, helpers: ['calls'] },
  });
  expect(rounds).toHaveLength(18);
  const shares = sharesOf(rounds, names(9));
  expect(shares.map(({ works }) => works)).toEqual(Array(9).fill(4));
  expect(spread(shares.map(({ helps }) => helps))).toBeLessThanOrEqual(1);
});

test('everybody gets all sets; at no time is one ahead of another by more than one', () => {
  fc.assert(
    fc.property(asked, (rotated) => {
      const rounds = rotation(rotated);
      rounds.forEach((_, end) => {
        const counts = rotated.athleteIds.map((id) => worksOf(rounds.slice(0, end + 1), id));
        expect(spread(counts)).toBeLessThanOrEqual(1);
      });
      for (const id of rotated.athleteIds) expect(worksOf(rounds, id)).toBe(rotated.sets);
    }),
  );
});

test('nobody works before they have rested, nor at two places at once', () => {
  fc.assert(
    fc.property(asked, (rotated) => {
      const rounds = rotation(rotated);
      const lastS = new Map<string, number>();
      for (const { fromS, toS, stations, rests } of rounds) {
        expect(toS - fromS).toBe(rotated.workS);
        const busy = stations.flatMap((turn) =>
          turn ? [turn.works, ...turn.helps.map(({ athleteId }) => athleteId)] : [],
        );
        expect([...busy, ...rests].sort()).toEqual([...rotated.athleteIds].sort());
        for (const works of stations.flatMap((turn) => turn?.works ?? [])) {
          const before = lastS.get(works);
          if (before !== undefined) expect(fromS - before).toBeGreaterThanOrEqual(rotated.restS);
          lastS.set(works, toS);
        }
      }
    }),
  );
});

test('it takes no longer than turns shared evenly, with the rests that others do not cover', () => {
  fc.assert(
    fc.property(asked, (rotated) => {
      const { athleteIds, stations, sets, workS, restS } = rotated;
      const shared = Math.ceil(athleteIds.length / stations) * workS;
      const evenS = sets * shared + (sets - 1) * Math.max(0, workS + restS - shared);
      expect(rotation(rotated).at(-1)?.toS ?? 0).toBeLessThanOrEqual(evenS);
    }),
  );
});

/** The fewest rounds in which all can have their sets, nobody ahead of another by more than one, by trying everything. */
function fewestRounds({ athleteIds, stations, sets, workS, restS }: Rotated): number {
  const pause = Math.ceil(restS / workS);
  const start = { left: athleteIds.map(() => sets), idle: athleteIds.map(() => pause) };
  let layer = new Map([[JSON.stringify(start), start]]);
  for (let round = 0; ; round++) {
    for (const { left } of layer.values()) if (left.every((n) => n === 0)) return round;
    const next = new Map<string, typeof start>();
    for (const { left, idle } of layer.values())
      for (let who = 0; who < 2 ** left.length; who++) {
        const works = left.map((_, i) => (who & (1 << i)) !== 0);
        if (works.filter(Boolean).length > stations) continue;
        if (works.some((is, i) => is && (left[i] === 0 || (idle[i] ?? 0) < pause))) continue;
        const then = {
          left: left.map((n, i) => (works[i] ? n - 1 : n)),
          idle: idle.map((n, i) => (works[i] ? 0 : Math.min(pause, n + 1))),
        };
        if (spread(then.left) <= 1) next.set(JSON.stringify(then), then);
      }
    layer = next;
  }
}

test.each([
  [2, 1, 3, 0],
  [3, 2, 2, 0],
  [3, 2, 4, 20],
  [4, 3, 2, 20],
  [5, 2, 2, 40],
  [5, 3, 2, 0],
  [6, 3, 2, 20],
  [6, 2, 2, 40],
])(
  'of %i athletes at %i stations, %i sets with %i s of rest, no search finds it done sooner',
  (athletes, stations, sets, restS) => {
    const rotated: Rotated = {
      ...{ athleteIds: names(athletes), stations, sets, workS: 20, restS, helpers: [] },
    };
    const rounds = rotation(rotated);
    const slots = (rounds.at(-1)?.toS ?? 0) / rotated.workS;
    expect(slots).toBe(fewestRounds(rotated));
  },
);

test('partners change: nobody is called by the same one twice while others have not called for them', () => {
  const athleteIds = names(4);
  const rounds = rotation({
    ...{ athleteIds, stations: 1, sets: 3, workS: 20, restS: 20, helpers: ['calls'] },
  });
  for (const id of athleteIds) {
    const callers = rounds.flatMap(({ stations }) =>
      stations.flatMap((turn) => (turn?.works === id ? turn.helps.map((h) => h.athleteId) : [])),
    );
    expect(new Set(callers).size).toBe(3);
  }
});

test('when somebody leaves and somebody comes late, what was done stands and the rest is shared evenly', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 3, max: 9 }),
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 2, max: 5 }),
      fc.integer({ min: 0, max: 100 }),
      (n, stations, sets, percent) => {
        const rotated: Rotated = {
          ...{ athleteIds: names(n), stations, sets, workS: 20, restS: 30, helpers: ['calls'] },
        };
        const whole = rotation(rotated);
        const done = whole.slice(0, Math.floor((percent / 100) * whole.length));
        const athleteIds = [...names(n).slice(1), 'late'];
        const rounds = rotation({ ...rotated, athleteIds }, done);
        expect(rounds.every(({ fromS }) => fromS >= (done.at(-1)?.toS ?? 0))).toBe(true);
        expect(worksOf(rounds, 'athlete 1')).toBe(0);
        const all = names(n).slice(1);
        for (const id of all) expect(worksOf([...done, ...rounds], id)).toBe(sets);
        const left = all.map((id) => worksOf(rounds, id));
        expect(worksOf(rounds, 'late')).toBe(Math.max(...left));
      },
    ),
  );
});

describe('where it is said who stays at which station', () => {
  const staying = asked.map((rotated) => ({
    ...rotated,
    stays: overStations(rotated.athleteIds, rotated.stations),
  }));

  test('everybody works all their sets there, helped by those of that station alone', () => {
    fc.assert(
      fc.property(staying, (rotated) => {
        const of = new Map(rotated.stays.map(({ athleteId, station }) => [athleteId, station]));
        const rounds = rotation(rotated);
        for (const { stations } of rounds)
          stations.forEach((turn, i) => {
            if (!turn) return;
            const there = [turn.works, ...turn.helps.map(({ athleteId }) => athleteId)];
            expect(there.map((id) => of.get(id))).toEqual(there.map(() => i + 1));
          });
        for (const id of rotated.athleteIds) expect(worksOf(rounds, id)).toBe(rotated.sets);
      }),
    );
  });

  test('whoever is not named goes where fewest are; whoever is not there is left out', () => {
    const stays = [
      { athleteId: 'anna', station: 1 },
      { athleteId: 'gone', station: 2 },
      { athleteId: 'cleo', station: 2 },
      // The block had a third station when it was said.
      { athleteId: 'dora', station: 3 },
    ];
    const athleteIds = ['anna', 'ben', 'cleo', 'dora'];
    expect(stationGroups({ athleteIds, stations: 2, stays })).toEqual([
      ['anna', 'ben'],
      ['cleo', 'dora'],
    ]);
    expect(stationGroups({ athleteIds, stations: 2, stays: [] })).toBeNull();
  });

  test('over stations as evenly as they go, in their order', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 30 }),
        fc.integer({ min: 1, max: 6 }),
        (n, stations) => {
          const at = overStations(names(n), stations).map(({ station }) => station);
          expect(at).toEqual([...at].sort((one, other) => one - other));
          const counts = Array.from(
            { length: stations },
            (_, i) => at.filter((one) => one === i + 1).length,
          );
          expect(spread(counts)).toBeLessThanOrEqual(1);
        },
      ),
    );
  });
});
