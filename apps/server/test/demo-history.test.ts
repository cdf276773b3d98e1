import { durationsOf } from '@orthokin/core/timing';
import { median } from '@orthokin/core/numeric';
import { stepOf } from '@orthokin/core/progress';
import { DEMO_CAST } from '../src/demo/cast.js';
import { pastSets, TEST_SEED, type PastSet } from '../src/demo/history.js';
import { DEMO_PATTERNS } from '../src/demo/patterns.js';

const TODAY = new Date('2026-03-20T09:00:00Z');
const historyOf = (person: (typeof DEMO_CAST)[number], seed = 3) =>
  pastSets(person, DEMO_PATTERNS[person.pattern], TODAY, seed, (at) => at.toISOString());

const medianCycle = (sets: readonly PastSet[]) =>
  median(
    sets.flatMap(({ reps }) => reps.flatMap(({ events }) => durationsOf(events).cycle?.ms ?? [])),
  );

describe.each(DEMO_CAST.map((person) => [person.name, person] as const))('%s', (_, person) => {
  const history = historyOf(person);
  const practice = history.filter(({ seed }) => seed !== TEST_SEED);

  test('has eight weeks of sets up to yesterday, two a session, the same for the same seed', () => {
    expect(historyOf(person)).toEqual(history);
    const days = [...new Set(history.map(({ day }) => day))];
    expect(practice.length).toBe(2 * days.length);
    expect(days.every((day) => day < '2026-03-20' && day >= '2026-01-20')).toBe(true);
    expect([...days].sort()).toEqual(days);
  });

  test('has the standard test at both ends: the same cues on the first rung, timed anew', () => {
    const tests = history.filter(({ seed }) => seed === TEST_SEED);
    const [first, , , last] = tests;
    expect(tests).toHaveLength(4);
    expect(new Set(tests.map(({ day }) => day)).size).toBe(2);
    expect(last?.cues).toEqual(first?.cues);
    expect(last?.reps).not.toEqual(first?.reps);
    expect(tests.every(({ rung }) => rung === 1)).toBe(true);
  });

  test('moves one rung at a time, up or back, and only by what a decision said', () => {
    let rung = 1;
    for (const set of history) {
      expect(set.rung).toBe(set.seed === TEST_SEED ? 1 : rung);
      if (!set.moved) continue;
      const { toRung, decision } = set.moved;
      expect(toRung - rung).toBe(stepOf(decision.answer));
      expect(decision.setIds.at(-1)).toBe(set.id);
      rung = toRung;
    }
    expect(rung).toBeLessThanOrEqual(DEMO_PATTERNS[person.pattern].rungs.length);
  });

  test('cues only targets in play, each rep in its cue’s place', () => {
    for (const { cues, reps, rung } of history) {
      const inPlay = DEMO_PATTERNS[person.pattern].rungs[rung - 1]?.targets ?? [];
      expect(reps.map(({ ordinal, target }) => [ordinal, target])).toEqual(
        cues.map(({ ordinal, target }) => [ordinal, target]),
      );
      for (const { target } of cues) expect(inPlay).toContain(target);
    }
  });
});

test('practice shows: on one rung, later sessions are quicker than the first', () => {
  const learner = DEMO_CAST.find(({ name }) => name === 'Wren Hallowby');
  if (!learner) throw new Error('no learner');
  const onFirst = historyOf(learner).filter(({ rung }) => rung === 1);
  expect(medianCycle(onFirst.slice(-4))).toBeLessThan(medianCycle(onFirst.slice(0, 4)));
});
