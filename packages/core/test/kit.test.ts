import fc from 'fast-check';
import { mirrorPattern } from '@orthokin/core/pattern';
import {
  kitOfAll,
  kitOfBlock,
  patternsOf,
  spaceNeeded,
  usualBlock,
  type Block,
  type Kit,
} from '@orthokin/core/plan';
import { anyPattern, bare } from './patterns.js';

describe('the floor of a pattern', () => {
  test('the floor is as wide as the markers and a metre round them', () => {
    const pattern = { ...bare('lane', 3), home: { ...bare('lane', 3).home, radiusM: 0.4 } };
    const targets = [
      { ...pattern.targets[0], at: { x: 0, y: 3 }, radiusM: 0.3 },
      { ...pattern.targets[0], at: { x: -1, y: -2 }, radiusM: 0.3 },
    ] as typeof pattern.targets;
    const { acrossM, deepM } = spaceNeeded({ ...pattern, targets });
    expect(acrossM).toBeCloseTo(2 + 1.3 + 0.4);
    expect(deepM).toBeCloseTo(2 + 5.6);
    expect(spaceNeeded({ ...pattern, targets: [] })).toEqual({ acrossM: 2.8, deepM: 2.8 });
  });

  test('mirrored it is the same floor', () => {
    fc.assert(
      fc.property(anyPattern, (pattern) => {
        const [one, other] = [spaceNeeded(pattern), spaceNeeded(mirrorPattern(pattern))];
        expect(other.acrossM).toBeCloseTo(one.acrossM);
        expect(other.deepM).toBeCloseTo(one.deepM);
      }),
    );
  });
});

const PATTERNS = new Map([
  ['anna', bare('star', 6)],
  ['ben', bare('fork', 2)],
  ['cleo', bare('fork', 2)],
]);
const kitOf = (block: Block): Kit =>
  kitOfBlock(block, [...PATTERNS.keys()], (id) => PATTERNS.get(id));

describe('what a block takes', () => {
  test('at each station the markers of the pattern with most, an object, a screen for the cues', () => {
    const drill: Block = { ...usualBlock('a', 'cued drill'), stations: 2, object: 'soft' };
    const floor = spaceNeeded(bare('star', 6));
    expect(kitOf(drill)).toEqual({
      ...{ markers: 14, objects: [{ object: 'soft', count: 2 }], screens: 2, besides: [] },
      floor: { ...floor, stations: 2 },
    });
    // Nobody works at a third station.
    expect(kitOf({ ...drill, stations: 6 }).screens).toBe(3);
  });

  test('only of those who do it', () => {
    const drill: Block = { ...usualBlock('a', 'cued drill'), who: ['ben', 'dora'] };
    expect(kitOf(drill)).toMatchObject({ markers: 3, screens: 1 });
    expect(kitOf({ ...drill, who: [] })).toMatchObject({ markers: 0, screens: 0, floor: null });
  });

  test('a game takes one ball a pair, a rehearsal with a ball one each', () => {
    const game = usualBlock('a', 'reaction game');
    expect(kitOf(game)).toMatchObject({ markers: 0, objects: [{ object: 'soft', count: 2 }] });
    const rehearsal: Block = { ...usualBlock('b', 'rehearse'), object: 'balloon' };
    expect(kitOf(rehearsal).objects).toEqual([{ object: 'balloon', count: 3 }]);
  });

  test('needs in words are apart at their commas', () => {
    const block = { ...usualBlock('a', 'play'), needs: 'bibs,  a rope , ' };
    expect(kitOf(block).besides).toEqual(['bibs', 'a rope']);
  });
});

test('a session is run on the patterns of its blocks and of those who do them, each once', () => {
  const own = new Map([
    ['anna', 'star'],
    ['ben', 'fork'],
  ]);
  const blocks: Block[] = [
    usualBlock('warm', 'warm-up'),
    { ...usualBlock('a', 'cued drill'), who: ['anna', 'nobody known'] },
    { ...usualBlock('b', 'rehearse'), patternId: 'lane' },
    { ...usualBlock('c', 'play'), patternId: 'cross' },
    usualBlock('d', 'pattern with action'),
  ];
  const of = (athleteIds: string[]) => patternsOf(blocks, athleteIds, (id) => own.get(id));
  expect(of(['anna', 'ben', 'nobody known'])).toEqual(['star', 'lane', 'fork']);
  expect(of([])).toEqual([]);
});

test('a session takes of each thing what the block needs that needs most, and words once', () => {
  const blocks: Block[] = [
    { ...usualBlock('a', 'reaction game'), needs: 'bibs' },
    { ...usualBlock('b', 'cued drill'), stations: 2, needs: 'a rope' },
    { ...usualBlock('c', 'pattern with action'), needs: 'bibs' },
  ];
  expect(kitOfAll(blocks.map(kitOf))).toMatchObject({
    ...{ markers: 14, screens: 2, besides: ['bibs', 'a rope'], floor: { stations: 2 } },
    objects: [
      { object: 'soft', count: 2 },
      { object: 'match', count: 1 },
    ],
  });
  const nothing = { markers: 0, objects: [], screens: 0, floor: null, besides: [] };
  expect(kitOfAll([])).toEqual(nothing);
});
