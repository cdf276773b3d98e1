import { USUAL_RUNG, type LimitSource, type Rung } from '@orthokin/core/pattern';
import {
  decide,
  QUICK_COUNT_RULE,
  USUAL_SEQUENTIAL_RULE,
  USUAL_STAIRCASE_RULE,
  judgeSet,
  type Gate,
  type JudgedSet,
  type Rule,
} from '@orthokin/core/progress';
import { readRep, type Fault } from '@orthokin/core/timing';
import {
  answerWords,
  headline,
  lackWords,
  missingWords,
  ruleSentence,
  ruleWords,
  trainWords,
} from '../src/words/decision.js';
import { sourceWords } from '../src/words/limit.js';
import {
  changesBetween,
  demandSentence,
  moveWords,
  raisesWords,
  stepWords,
} from '../src/words/rung.js';

const rung: Rung = {
  ...USUAL_RUNG,
  ...{ number: 2, name: 'Easy', targets: ['A', 'B'], limitsMs: { cycle: 2000 } },
};

/** A set of these cycles; the first `leans` reps land uneven, which is watched for. */
function setOf(cyclesMs: readonly number[], day: string, leans = 0): JudgedSet {
  const faultsOf = (rep: number): Fault[] => (rep < leans ? ['lean'] : []);
  const readings = cyclesMs.map((cycleMs, i) =>
    readRep(
      {
        ...{ ordinal: i + 1, target: 'A', seenFaults: faultsOf(i), struckOut: false },
        events: [
          { name: 'cue', atMs: 0, sdMs: 0, source: 'sensor' },
          { name: 'home', atMs: cycleMs, sdMs: 0, source: 'sensor' },
        ],
      },
      { falseStartMs: 100, responseLimitMs: 9000, splitWindowMs: [-60, 120] },
    ),
  );
  return { setId: day, day, judgement: judgeSet(readings, rung, ['lean']) };
}
const times = (n: number, ms: number) => Array.from({ length: n }, () => ms);
const decided = (sets: readonly JudgedSet[], rule: Rule = QUICK_COUNT_RULE, isTop = false) =>
  decide({ sets, rung, next: isTop ? null : { ...rung, number: 3 }, hasRungBelow: true }, rule);

describe('what comes next, in one sentence with its numbers', () => {
  test.each<[string, ReturnType<typeof decided>, string, string]>([
    [
      'eased back for speed',
      decided([setOf([...times(7, 2400), ...times(3, 1800)], '1')]),
      'Ease back to rung 1: only 30 % of the reps passed.',
      'Ease back a rung',
    ],
    [
      'eased back for technique',
      decided([setOf(times(10, 1800), '1', 4), setOf(times(10, 1800), '2', 4)]),
      'Ease back to rung 1: technique failed in two sets running.',
      'Ease back a rung',
    ],
    [
      'held for technique, however fast',
      decided([
        setOf(times(10, 1800), '1'),
        setOf(times(10, 1800), '2'),
        setOf(times(10, 1800), '3', 3),
      ]),
      'Stay on rung 2, however fast: 7 of 10 reps without a fault, 8 needed.',
      'Stay: 7 of 10 reps without a fault, 8 needed',
    ],
    [
      'rested',
      decided([
        setOf(
          Array.from({ length: 12 }, (_, i) => 1700 + 90 * i),
          '1',
        ),
      ]),
      'Rest before the next set: the cycle grew from 1.84 s to 2.56 s within the set.',
      'Rest first: a steep fade',
    ],
    ['begun', decided([]), 'Nothing shown on rung 2 yet.', 'No set on this rung yet'],
    [
      'at the top',
      decided([setOf(times(10, 1800), '1'), setOf(times(10, 1800), '2')], QUICK_COUNT_RULE, true),
      'Rung 2 is met, and it is the top one.',
      'Top rung met',
    ],
  ])('%s', (_, decision, head, line) => {
    expect(headline(decision, 2)).toBe(head);
    expect(answerWords(decision, null)).toBe(line);
  });

  test('the sequential test says how many passes would be enough', () => {
    const decision = decided([setOf(times(10, 1800), '1')], USUAL_SEQUENTIAL_RULE);
    expect(answerWords(decision, null)).toMatch(/^Not enough yet: 5 more passes/);
    expect(missingWords(decision.rule, decision.state)).toBe(
      '5 more passes in a row would be enough (evidence 1.9 of 2.9)',
    );
    expect(headline(decision, 2)).toBe(
      'Not enough reps yet: 5 more passes in a row would be enough (evidence 1.9 of 2.9).',
    );
    const met = decided([setOf(times(15, 1800), '1')], USUAL_SEQUENTIAL_RULE);
    expect(ruleSentence(met)).toMatch(/It is met\.$/);
  });

  test('the staircase says what is missing: a limit, a set, turns, or how far over', () => {
    const set = setOf(times(10, 1800), '1');
    const missing = (sets: JudgedSet[]) => {
      const { rule, state } = decided(sets, USUAL_STAIRCASE_RULE);
      return missingWords(rule, state);
    };
    const read = { pacesMs: [], nextMs: 2000, row: 0, needed: 6 };
    expect(missing([set])).toBe('a set at a pace that moves by itself');
    expect(
      missing([{ ...set, staircase: { ...read, reversalsMs: [1, 2], thresholdMs: null } }]),
    ).toBe('4 more reversals of the pace');
    expect(
      missing([{ ...set, staircase: { ...read, reversalsMs: times(6, 2100), thresholdMs: 2100 } }]),
    ).toBe('the pace settled at 2.10 s, 0.10 s over');
  });

  test('each rule is one plain sentence', () => {
    for (const rule of [QUICK_COUNT_RULE, USUAL_SEQUENTIAL_RULE, USUAL_STAIRCASE_RULE])
      expect(ruleWords(rule)).toMatch(/^[A-Z].*\.$/);
    expect(ruleWords(QUICK_COUNT_RULE)).toBe(
      'Move up after 2 of the last 3 sets on a rung passed, on 2 days.',
    );
  });

  test('what holds is named, and what mends it', () => {
    const held: Gate = { gate: 'catch trials', held: 1, trials: 3, needed: 3, met: false };
    expect(lackWords(held)).toBe('1 of 3 waits without a cue held, 3 needed');
    expect(trainWords(held)).toContain('without any cue');
    const spread: Gate = { gate: 'spread', share: 0.31, most: 0.2, met: false };
    expect(lackWords(spread)).toContain('31 % of the median, 20 % allowed');
    expect(trainWords(null)).toBeNull();
  });
});

describe('rungs and limits in words', () => {
  test('a step says only what it changes', () => {
    const next: Rung = { ...rung, number: 3, order: 'chained', limitsMs: { cycle: 1800 } };
    expect(changesBetween(rung, next)).toEqual([
      { what: 'Order of cues', from: 'mixed', to: 'mixed, every pair of targets alike often' },
      { what: 'Cycle', from: '2.00 s', to: '1.80 s' },
    ]);
    expect(changesBetween(rung, rung)).toEqual([]);
    // On the chip between two rungs there is room for two things.
    expect(stepWords([])).toBe('');
    expect(stepWords([{ what: 'targets', more: 1 }])).toBe('one more target');
    expect(
      stepWords([
        { what: 'targets', more: 2 },
        { what: 'pressure', pressure: 'one opponent' },
        { what: 'pace', quicker: false },
      ]),
    ).toBe('2 more targets, against one opponent and more');
    expect(
      (['catch', 'switch'] as const).map((what) => stepWords([{ what, comes: true }])),
    ).toEqual(['some waits have no cue', 'switched cues come in']);
    expect(stepWords([{ what: 'floor', larger: true }])).toBe('larger floor');
    expect(stepWords([{ what: 'doing', doing: 'fed' }])).toBe('ball fed');
    expect(raisesWords(['speed'])).toBe('faster, nothing else');
    expect(raisesWords([])).toBe('neither faster nor more to do');
    expect(raisesWords(['speed', 'complexity'])).toContain('two things at once');
  });

  test.each<[LimitSource | undefined, string]>([
    [{ kind: 'coach' }, 'the coach’s number'],
    [
      { kind: 'budget', budgetMs: 910, factor: 1.1, flight: 'squash ball to A' },
      '110 % of the 0.91 s there are: squash ball to A',
    ],
    [
      { kind: 'record', of: 'median', recordMs: 1200, factor: 0.95, n: 40 },
      '95 % of their own median of 1.20 s, over 40 reps',
    ],
    [
      { kind: 'reckoned', reckonedMs: 1000, factor: 1.3, how: 'the way' },
      '130 % of 1.00 s: the way',
    ],
    [
      { kind: 'own line', lineMs: 1310, factor: 1.1, n: 60 },
      '110 % of the 1.31 s their own reaction and travel line says, over 60 timed ways',
    ],
    [undefined, 'set without a source'],
  ])('a limit from %j', (source, words) => {
    expect(sourceWords(source)).toBe(words);
  });

  test('the share of reps lost says whether the demand is right', () => {
    const lost = (n: number) => [...times(n, 0), ...times(40 - n, 1)];
    expect(demandSentence(lost(1))).toMatch(/^Too easy: 3 % of 40 reps lost/);
    expect(demandSentence(lost(8))).toBe('The demand is about right: 20 % of 40 reps lost.');
    expect(demandSentence(lost(20))).toMatch(/^Much is asked: 50 %/);
    expect(demandSentence([1, 1])).toBeNull();
  });

  test('moves say where to and on whose word', () => {
    expect(moveWords({ fromRung: 2, toRung: 3, basis: 'rule' })).toBe(
      'Up to rung 3, as the rule said',
    );
    expect(moveWords({ fromRung: 2, toRung: 2, basis: 'overrule' })).toBe(
      'Kept on rung 2, against the rule',
    );
    expect(moveWords({ fromRung: 2, toRung: 1, basis: 'hand' })).toBe('Back to rung 1, by hand');
  });
});
