import {
  BLOCK_KINDS,
  blocksFrom,
  fitted,
  halved,
  placed,
  planFindings,
  sharesOver,
  TEMPLATE_NAMES,
  trainedBy,
  usualBlock,
  type Block,
  type Session,
} from '@orthokin/core/plan';
import fc from 'fast-check';

const ids = (): (() => string) => {
  let n = 0;
  return () => `block ${n++}`;
};
const names = (n: number): string[] => Array.from({ length: n }, (_, i) => `athlete ${i + 1}`);

const sessionOf = (blocks: readonly Block[], part: Partial<Session> = {}): Session => ({
  ...{ name: 'Thursday', day: '2026-11-26', startsAt: '17:00', minutes: 60 },
  athleteIds: names(9),
  blocks,
  ...part,
});
const findingsOf = (session: Session) => planFindings(session, placed(session));

test('blocks follow one another; together as long as said, in turns as long as it takes', () => {
  const drill = { ...usualBlock('b', 'cued drill'), stations: 2, sets: 2, workS: 30, restS: 60 };
  const [warm, turns] = placed(sessionOf([usualBlock('a', 'warm-up'), drill]));
  expect([warm?.fromS, warm?.toS]).toEqual([0, 480]);
  // Five share each station: ten turns of half a minute, and nobody's rest is longer than that.
  expect([turns?.fromS, turns?.toS]).toEqual([480, 480 + 9 * 30]);
  expect(turns?.shares.every(({ works }) => works === 2)).toBe(true);
});

test.each(TEMPLATE_NAMES)('the template %s has nothing amiss for those it is for', (name) => {
  const athleteIds = names({ squad: 12, lesson: 1, solo: 1, return: 1, 'match day': 2 }[name]);
  const found = findingsOf(sessionOf(blocksFrom(name, ids()), { athleteIds }));
  // Before a match nobody cools down.
  const allowed = name === 'match day' ? ['no cool-down'] : [];
  expect(found.map(({ finding }) => finding)).toEqual(allowed);
});

test('what is amiss is said, with what it is reckoned from', () => {
  const drill = usualBlock('drill', 'cued drill');
  const found = findingsOf(
    sessionOf([usualBlock('run', 'conditioning'), { ...drill, restS: 20 }], { minutes: 10 }),
  );
  expect(found).toEqual([
    { finding: 'no warm-up' },
    { finding: 'reaction after conditioning', blockId: 'drill' },
    { finding: 'short rest', blockId: 'drill', ratio: 0.8, aim: 2 },
    // Nine at one station with a caller.
    expect.objectContaining({ finding: 'waits more than works', blockId: 'drill', worksS: 75 }),
    { finding: 'no cool-down' },
    { finding: 'too long', overS: 360 + 27 * 25 - 600 },
  ]);
  expect(findingsOf(sessionOf([], { athleteIds: [] }))).toEqual([{ finding: 'nobody' }]);
});

test('fitted to its time: what may give gives, never a warm-up, a cool-down or a rest', () => {
  const kinds = fc.array(fc.constantFrom(...BLOCK_KINDS), { minLength: 1, maxLength: 12 });
  fc.assert(
    fc.property(kinds, fc.integer({ min: 5, max: 90 }), (chosen, minutes) => {
      const newId = ids();
      const session = sessionOf(
        chosen.map((kind) => usualBlock(newId(), kind)),
        { minutes },
      );
      const blocks = fitted(session);
      expect(blocks.map(({ id }) => id)).toEqual(session.blocks.map(({ id }) => id));
      blocks.forEach((block, i) => {
        const before = session.blocks[i] as Block;
        expect([block.restS, block.workS]).toEqual([before.restS, before.workS]);
        expect(2 * block.minutes).toBeGreaterThanOrEqual(before.minutes);
        expect(2 * block.sets).toBeGreaterThanOrEqual(before.sets);
        if (['warming', 'calming'].includes(trainedBy(block.kind))) expect(block).toEqual(before);
      });
      const lastS = (all: readonly Block[]) => placed({ ...session, blocks: all }).at(-1)?.toS ?? 0;
      expect(lastS(blocks)).toBeLessThanOrEqual(lastS(session.blocks));
      if (lastS(session.blocks) <= 60 * minutes) expect(blocks).toEqual(session.blocks);
    }),
  );
});

test('a block in two is as long as it was; of a minute there is no half', () => {
  const block = usualBlock('a', 'play');
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 90 }), (minutes) => {
      const parts = halved({ ...block, minutes }, 'b');
      expect(parts.reduce((sum, part) => sum + part.minutes, 0)).toBe(minutes);
      expect(parts.every((part) => part.minutes >= 1)).toBe(true);
      expect(new Set(parts.map(({ id }) => id)).size).toBe(parts.length);
    }),
  );
});

test('over a session everybody’s sets, helping and waiting are summed', () => {
  const drill = { ...usualBlock('a', 'cued drill'), sets: 2 };
  const blocks = placed(sessionOf([drill, { ...drill, id: 'b', helpers: [] }]));
  const [first, second] = blocks.map(({ shares }) => shares[0]);
  const [own] = sharesOver(blocks, names(9));
  expect(own).toEqual({
    ...{ athleteId: 'athlete 1', works: 4, helps: first?.helps },
    worksS: (first?.worksS ?? 0) + (second?.worksS ?? 0),
    waitsS: (first?.waitsS ?? 0) + (second?.waitsS ?? 0),
  });
});

test('the match object is no first one for the youngest, where they use it', () => {
  const blocks = [
    usualBlock('play', 'play'),
    { ...usualBlock('soft', 'play'), object: 'soft' as const },
  ];
  const session = sessionOf(blocks, { athleteIds: names(3) });
  const ageBandOf = (id: string) => (id === 'athlete 2' ? 'under 11' : 'under 13');
  const found = planFindings({ ...session, ageBandOf }, placed(session));
  expect(found.filter(({ finding }) => finding === 'match object for the young')).toEqual([
    { finding: 'match object for the young', blockId: 'play', athleteIds: ['athlete 2'] },
  ]);
});

test('a block for some is worked by those alone, and says who has nothing to do', () => {
  const drill: Block = { ...usualBlock('drill', 'cued drill'), who: ['athlete 1', 'athlete 3'] };
  const session = sessionOf([drill], { athleteIds: names(3) });
  const [only] = placed(session);
  expect(only?.shares.map(({ athleteId, works }) => [athleteId, works])).toEqual([
    ['athlete 1', 3],
    ['athlete 3', 3],
  ]);
  expect(findingsOf(session)).toContainEqual({
    ...{ finding: 'nothing to do', blockId: 'drill', athleteIds: ['athlete 2'] },
  });
});
