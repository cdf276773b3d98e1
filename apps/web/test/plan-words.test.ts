import { rotation, usualBlock, type PlanFinding } from '@orthokin/core/plan';
import { fullest, spotIn, threadsOf } from '../src/planner/threads.js';
import { kitWords } from '../src/words/kit.js';
import {
  clockWords,
  draftWords,
  findingWords,
  howWords,
  minutesOf,
  wallClock,
} from '../src/words/plan.js';

test('times of a session are said as clocks on a wall and as countdowns', () => {
  expect(wallClock('17:45', 20 * 60)).toBe('18:05');
  expect(wallClock('23:50', 15 * 60)).toBe('00:05');
  expect([0, 9, 65, 600].map(clockWords)).toEqual(['0:00', '0:09', '1:05', '10:00']);
  expect([60, 90, 100, 130].map(minutesOf)).toEqual(['1', '1.5', '1.5', '2']);
});

test('what a block is like, and what is amiss with it, in words', () => {
  expect(howWords(usualBlock('a', 'warm-up'))).toBe('8 min');
  expect(howWords(usualBlock('b', 'cued drill'))).toBe('3 × 25 s at one station');
  const findings: PlanFinding[] = [
    { finding: 'no warm-up' },
    { finding: 'reaction after conditioning', blockId: 'b' },
    { finding: 'short rest', blockId: 'b', ratio: 0.8, aim: 2 },
    { finding: 'waits more than works', blockId: 'b', worksS: 75, waitsS: 120 },
    { finding: 'nothing to do', blockId: 'b', athleteIds: ['Anna', 'Ben'] },
    { finding: 'match object for the young', blockId: 'b', athleteIds: ['Ben'] },
    { finding: 'too long', overS: 420 },
  ];
  expect(
    findings.map((finding) =>
      findingWords(
        finding,
        () => 'The drill',
        (id) => id,
      ),
    ),
  ).toEqual([
    'There is no warm-up.',
    'The drill comes after conditioning: quickness is trained on fresh legs.',
    'The drill: rest is 0.8 times the work, 2 times is usual for it.',
    'The drill: each works 75 s and waits 120 s besides resting. More stations or helpers would mend it.',
    'The drill: Anna and Ben have nothing to do.',
    'The drill: Ben under eleven with the match ball: a soft one or a balloon gives time to get the feet right.',
    'It is 7 min longer than there is time.',
  ]);
});

test('every athlete is at one spot in every round, and nobody shares it', () => {
  const athleteIds = ['a', 'b', 'c', 'd', 'e', 'f', 'g'];
  const rounds = rotation({
    ...{ athleteIds, stations: 2, sets: 2, workS: 20, restS: 20, helpers: ['calls', 'feeds'] },
  });
  const threads = threadsOf({ rounds }, athleteIds);
  for (const [i, { fromS }] of rounds.entries()) {
    const spots = threads.map(({ spots: all }) => all[i]);
    expect(spots.every((spot) => spot?.fromS === fromS)).toBe(true);
    expect(new Set(spots.map((spot) => `${spot?.lane} ${spot?.place}`)).size).toBe(7);
  }
  expect(fullest(rounds)).toEqual({ stations: 2, helps: 4, rests: 1 });
  expect(rounds[0] && spotIn(rounds[0], 'nobody')).toBeNull();
});

test('a drafted block names who it is for, as many as there is room for', () => {
  const words = {
    nameOf: (id: string) => `${id} Somebody`,
    faultName: () => 'flat feet',
    mendOf: () => 'Heels off the floor.',
  };
  const of = (athleteIds: string[]) =>
    draftWords({ why: 'a fault', fault: 'flat feet', athleteIds }, words);
  expect(of(['Anna', 'Ben'])).toEqual({
    ...{ title: 'Flat feet: Anna, Ben', note: 'Heels off the floor.' },
  });
  const many = of(Array.from({ length: 60 }, (_, i) => `Maximiliana${i}`)).title ?? '';
  expect(many.length).toBeLessThanOrEqual(80);
  expect(many).toMatch(/and 5\d more$/);
  expect(draftWords({ why: 'as usual' }, words)).toEqual({});
});

test('what to bring and the floor are a sentence each; nothing is said of nothing', () => {
  const kit = {
    ...{ markers: 14, screens: 2, besides: ['a rope'] },
    objects: [{ object: 'soft' as const, count: 1 }],
    floor: { acrossM: 8.4, deepM: 7.6, stations: 2 },
  };
  expect(kitWords(kit, 'metres')).toEqual({
    bring: 'Bring: 14 markers, one soft ball, 2 screens for cues, a rope.',
    floor: 'Floor: 2 places of 8.40 m by 7.60 m beside each other, free all round.',
  });
  const nothing = { markers: 0, screens: 0, besides: [], objects: [], floor: null };
  expect(kitWords(nothing, 'metres')).toEqual({ bring: '', floor: '' });
});
