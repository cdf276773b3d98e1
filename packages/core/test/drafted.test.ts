import fc from 'fast-check';
import { ANSWERS } from '@orthokin/core/progress';
import { draftedFrom, placed, planFindings, type Stands } from '@orthokin/core/plan';
import { FAULTS } from '@orthokin/core/timing';

const stands = (athleteId: string, change: Partial<Stands> = {}): Stands => ({
  ...{ athleteId, answer: 'stay', slowerSide: null, watched: [], seen: [], ...change },
});
const counter = () => {
  let next = 0;
  return () => `block ${next++}`;
};
const reasons = (people: readonly Stands[]) =>
  draftedFrom(people, counter()).map(({ reason }) => reason);

test('each reason is there for whom it holds, and none for nobody', () => {
  const drafted = reasons([
    stands('anna', { answer: 'move up', watched: ['lean'] }),
    stands('ben', { slowerSide: 'left', seen: ['lean', 'detour'] }),
    stands('cleo', { answer: null, watched: ['lean'], seen: ['lean'] }),
  ]);
  expect(drafted.filter(({ why }) => why !== 'as usual')).toEqual([
    { why: 'a fault', fault: 'lean', athleteIds: ['anna', 'ben', 'cleo'] },
    { why: 'a fault', fault: 'detour', athleteIds: ['ben'] },
    { why: 'a slower side', athleteIds: ['ben'] },
    { why: 'ready for the next rung', athleteIds: ['anna'] },
  ]);
  expect(reasons([stands('anna')]).every(({ why }) => why === 'as usual')).toBe(true);
  expect(reasons([stands('anna', { answer: null })])).toContainEqual({
    ...{ why: 'never timed', athleteIds: ['anna'] },
  });
});

test('whatever they need: two corrections at most, in the order of a session, with nothing to warn of but time', () => {
  const one = fc.record({
    answer: fc.option(fc.constantFrom(...ANSWERS)),
    slowerSide: fc.option(fc.constantFrom('left' as const, 'right' as const)),
    watched: fc.uniqueArray(fc.constantFrom(...FAULTS), { maxLength: 2 }),
    seen: fc.uniqueArray(fc.constantFrom(...FAULTS), { maxLength: 6 }),
  });
  fc.assert(
    fc.property(fc.array(one, { minLength: 1, maxLength: 24 }), (people) => {
      const squad = people.map((person, i) => stands(`athlete ${i}`, person));
      const drafted = draftedFrom(squad, counter());
      expect(drafted.filter(({ reason }) => reason.why === 'a fault').length).toBeLessThanOrEqual(
        2,
      );
      const blocks = drafted.map(({ block }) => block);
      expect(new Set(blocks.map(({ id }) => id)).size).toBe(blocks.length);
      const athleteIds = squad.map(({ athleteId }) => athleteId);
      const found = planFindings({ minutes: 480, athleteIds }, placed({ blocks, athleteIds }));
      expect(found.filter(({ finding }) => finding !== 'waits more than works')).toEqual([]);
    }),
  );
});
