import {
  QUICK_COUNT_RULE,
  USUAL_SEQUENTIAL_RULE,
  USUAL_STAIRCASE_RULE,
  TRUE_RATES,
  USUAL_OUTLOOK,
  USUAL_WISH,
} from '@orthokin/core/progress';
import { comparisonSentence, ruleVerdict, setsWords, shareWords } from '../src/words/rules.js';
import { answerWish, simulateRules } from '../src/ladder/rules/simulate.js';

const TOLD = { readyRate: 0.8, isLearning: false };
const careful = { ...QUICK_COUNT_RULE, setsNeeded: 4, ofLast: 4 };
const question = {
  ...{ kind: 'rules' as const, settings: USUAL_OUTLOOK, learning: 0, athletes: 300 },
  rules: [QUICK_COUNT_RULE, careful],
};

test('rules are followed at every true rate, the same draws for each, and progress only rises', () => {
  const told: number[] = [];
  const answer = simulateRules(question, (share) => told.push(share));
  expect(answer.map((outcomes) => outcomes.length)).toEqual([TRUE_RATES.length, TRUE_RATES.length]);
  expect(told).toEqual([...told].sort((a, b) => a - b));
  expect(told.at(-1)).toBeLessThan(1);
  expect(simulateRules(question, () => undefined)).toEqual(answer);
  expect(comparisonSentence(answer, TOLD)).toMatch(
    /^B moves up too soon less often; the ready wait \d\.\d sets less with A\.$/,
  );
  expect(comparisonSentence([], TOLD)).toBeNull();
  expect(ruleVerdict('Rule A', answer[0] ?? [], TOLD)).toMatch(
    /^Rule A: of athletes who pass 70 % of their reps \d in 10 would move up; of those who pass 90 %, all, half/,
  );
  expect(ruleVerdict('Rule A', [], TOLD)).toBe('');
});

test('a rule held against itself is neither more careful nor quicker', () => {
  const rules = [USUAL_SEQUENTIAL_RULE, USUAL_SEQUENTIAL_RULE];
  expect(
    comparisonSentence(
      simulateRules({ ...question, rules }, () => undefined),
      TOLD,
    ),
  ).toBe('Both move up too soon about as often; the ready wait about as long.');
});

test('a staircase is given the reps it needs for its turns; who learns is moved up in the end', () => {
  const stairs = { ...question, rules: [USUAL_STAIRCASE_RULE] };
  const [outcomes = []] = simulateRules(stairs, () => undefined);
  expect(outcomes.at(-1)?.moved).toBeGreaterThan(0.9);
  const [steady = []] = simulateRules(question, () => undefined);
  const [learning = []] = simulateRules({ ...question, learning: 0.2 }, () => undefined);
  expect(learning[0]?.moved).toBeGreaterThan(steady[0]?.moved ?? 1);
});

test('a wish is answered by both kinds of rule', () => {
  const { count, sequential } = answerWish({
    ...{ kind: 'wish', wish: USUAL_WISH, settings: USUAL_OUTLOOK },
  });
  expect(count).toMatchObject({ ok: true, value: { rule: { kind: 'count' } } });
  expect(sequential).toMatchObject({ ok: true, value: { rule: { kind: 'sequential' } } });
});

test('shares are shown with their doubt, and sets with their middle half', () => {
  expect(shareWords({ moved: 0.305, se: 0.007, athletes: 4000 })).toBe('31 ± 1.4');
  expect(shareWords({ moved: 0.004, se: 0, athletes: 4000 })).toBe('0.4 ± 0.1');
  expect(shareWords({ moved: 0.305, se: 0, athletes: null })).toBe('31');
  expect(setsWords({ setsToMove: [3, 5, 8] })).toBe('5 (3–8)');
  expect(setsWords({ setsToMove: [3, 3, 3] })).toBe('3');
  expect(setsWords({ setsToMove: null })).toBe('nobody');
});

test('rules are told by who is clearly not ready and who clearly is, wherever ready lies', () => {
  const answer = simulateRules(question, () => undefined);
  const low = ruleVerdict('A', answer[0] ?? [], { readyRate: 0.65, isLearning: false });
  expect(low).toMatch(
    /who pass 55 % of their reps \d in 100 would move up; of those who pass 75 %, /,
  );
  const edge = ruleVerdict('A', answer[0] ?? [], { readyRate: 0.99, isLearning: true });
  expect(edge).toMatch(
    /who begin by passing 85 % of their reps .* would move up; of those who begin by passing 95 %/,
  );
});
