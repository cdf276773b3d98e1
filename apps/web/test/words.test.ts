import { decide, QUICK_COUNT_RULE, judgeSet, type Rule } from '@orthokin/core/progress';
import { summariseSet, targetFigures } from '@orthokin/core/stats';
import { readRep, type RepReading, type TimedEvent } from '@orthokin/core/timing';
import { answerWords, headline, ruleSentence } from '../src/words/decision.js';
import { dayWords, seconds } from '../src/words/format.js';
import { segmentsOf } from '../src/parts/ribbon/segments.js';
import {
  gateSentences,
  leftOutSentence,
  slowestHome,
  mixedSentence,
  sourceSentence,
  timedBy,
} from '../src/words/verdict.js';
import { PLAN, RUNG } from './plan.js';

const rung = RUNG;

function reading(ordinal: number, reactionMs: number, recoveryMs: number, sdMs = 0): RepReading {
  const at = (name: TimedEvent['name'], atMs: number): TimedEvent => ({
    name,
    atMs,
    sdMs,
    source: 'simulated',
  });
  return readRep(
    {
      ordinal,
      target: ordinal % 2 ? 'A' : 'B',
      events: [
        at('cue', 0),
        at('firstMove', reactionMs),
        at('action', 1000),
        at('home', 1000 + recoveryMs),
      ],
      seenFaults: [],
      struckOut: false,
    },
    { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-60, 120] },
  );
}
const set = (n: number, reactionMs: number, recoveryMs: number) =>
  Array.from({ length: n }, (_, i) => reading(i + 1, reactionMs, recoveryMs));

function verdict(sets: RepReading[][], hasRungAbove = true, rule: Rule = QUICK_COUNT_RULE) {
  const judged = sets.map((readings, i) => ({
    setId: String(i),
    day: String(i),
    judgement: judgeSet(readings, rung),
  }));
  const next = hasRungAbove ? { ...rung, number: 2 } : null;
  const decision = decide({ sets: judged, rung, next, hasRungBelow: false }, rule);
  return { decision, outcome: judged.at(-1)?.judgement.outcome ?? 'too few reps' };
}

describe('the answer in words', () => {
  test.each<[string, RepReading[][], string, string]>([
    [
      'met',
      [set(10, 250, 900), set(10, 250, 900)],
      'Move up to rung 2: the rule is met.',
      'Ready to move up',
    ],
    [
      'too slow',
      [set(10, 250, 1180)],
      'Stay on rung 1: recovery is 0.08 s too slow.',
      'Stay: recovery is 0.08 s too slow',
    ],
    [
      'a hair too slow',
      [set(10, 250, 1103)],
      'Stay on rung 1: recovery is a hair too slow, by less than 0.01 s.',
      'Stay: recovery is a hair too slow, by less than 0.01 s',
    ],
    [
      'passed once',
      [set(10, 250, 900)],
      'Passed, but not enough sets yet: 1 more set must pass, on another day.',
      'Passed; not enough sets yet',
    ],
    [
      'broken off',
      [set(3, 250, 900)],
      'Not enough reps yet: 3 valid reps, 8 needed.',
      'Not enough yet: 3 valid reps, 8 needed',
    ],
    [
      'early',
      [[...set(9, 250, 900), reading(10, 20, 900), reading(11, 20, 900)]],
      'Stay on rung 1: 2 false starts in 11, 1 allowed.',
      'Stay: 2 false starts in 11, 1 allowed',
    ],
  ])('%s', (_, sets, head, line) => {
    const { decision, outcome } = verdict(sets);
    expect(headline(decision, 1)).toBe(head);
    expect(answerWords(decision, outcome)).toBe(line);
  });

  test('on the top rung', () => {
    const { decision, outcome } = verdict([set(10, 250, 900), set(10, 250, 900)], false);
    expect(headline(decision, 1)).toBe('Rung 1 is met, and it is the top one.');
    expect(answerWords(decision, outcome)).toBe('Top rung met');
  });

  test('the rule says what it asks and what it saw', () => {
    expect(ruleSentence(verdict([set(10, 250, 900)]).decision)).toBe(
      'The rule asks for 2 of the last 3 sets on this rung, on 2 days; 1 of 1 passed, on 1 day.',
    );
  });

  test('gates say how many of how many, and when limits fail only together', () => {
    expect(gateSentences(judgeSet(set(10, 250, 1180), rung))).toEqual([
      'Reaction: 10 of 10 inside 0.35 s, 0 over; 8 needed.',
      'Recovery: 0 of 10 inside 1.10 s, 10 over; 8 needed; the 8th fastest took 1.18 s.',
    ]);
    const mixed = [
      ...set(6, 250, 900),
      reading(7, 400, 900),
      reading(8, 400, 900),
      reading(9, 250, 1200),
      reading(10, 250, 1200),
    ];
    expect(gateSentences(judgeSet(mixed, rung)).at(-1)).toBe(
      'But only 6 kept every limit at once; 8 needed.',
    );
  });

  test('what was left out, and what was slow but kept', () => {
    const summary = summariseSet([
      ...set(9, 250, 900),
      reading(10, 20, 900),
      reading(11, 900, 900),
    ]);
    expect(leftOutSentence(summary)).toBe(
      'Left out: rep 10 (false start). Far slower than the rest, but kept: rep 11 (reaction).',
    );
    expect(sourceSentence('hand', summariseSet([reading(1, 250, 900, 45)]))).toContain('±0.06 s');
  });

  test('a set that mixes sources says which reps are of which', () => {
    const one = reading(1, 250, 900);
    const byHand = (of: RepReading): RepReading => ({
      ...of,
      rep: {
        ...of.rep,
        events: of.rep.events.map((event) =>
          event.name === 'home' ? { ...event, source: 'hand' } : event,
        ),
      },
    });
    expect(timedBy(one)).toBe('simulated');
    expect(mixedSentence([one, reading(2, 250, 900)])).toBeNull();
    expect(mixedSentence([one, byHand(reading(2, 250, 900)), reading(3, 250, 900)])).toBe(
      'Reps 1, 3 by simulated; rep 2 by simulated and hand.',
    );
  });

  test('a slowest target is named only when the timing could tell it from the next', () => {
    const { targets } = PLAN.pattern;
    const times = targetFigures([reading(1, 250, 900), reading(2, 250, 950)], targets);
    expect(slowestHome(times, targets, 0)).toBe('Slowest home from B, wide left: 0.95 s.');
    expect(slowestHome(times, targets, 45)).toBeNull();
    expect(slowestHome(times.slice(0, 1), targets, 0)).toBeNull();
  });

  test('a time, its limit and what it is over by add up as shown', () => {
    expect([seconds(1295), seconds(1260), seconds(1295 - 1260)]).toEqual(['1.30', '1.26', '0.04']);
  });

  test('days are today, yesterday or a date', () => {
    const now = new Date(2026, 2, 1, 0, 30);
    expect(dayWords(new Date(2026, 2, 1, 0, 5).toISOString(), now)).toBe('today');
    expect(dayWords(new Date(2026, 1, 28, 23, 55).toISOString(), now)).toBe('yesterday');
    expect(dayWords(new Date(2026, 1, 20).toISOString(), now)).toContain('20');
  });
});

describe('the bands of a ribbon', () => {
  const bands = (times: Partial<Record<TimedEvent['name'], number>>) =>
    segmentsOf(
      Object.entries(times).map(([name, atMs]) => ({
        name: name as TimedEvent['name'],
        atMs,
        sdMs: 0,
        source: 'hand',
      })),
    ).map(({ phases, fromMs, toMs }) => [phases.join('+'), fromMs, toMs]);

  test('meet at the events, counted from the cue', () => {
    expect(
      bands({
        cue: 1000,
        firstMove: 1250,
        arrival: 1900,
        action: 2000,
        departure: 2100,
        home: 2900,
        nextCue: 3100,
      }),
    ).toEqual([
      ['stance', -220, 0],
      ['reaction', 0, 250],
      ['travel', 250, 900],
      ['load', 900, 1000],
      ['action', 1000, 1100],
      ['recovery', 1100, 1900],
      ['ready margin', 1900, 2100],
    ]);
  });

  test('share a band where the event between them was not timed', () => {
    expect(bands({ cue: 0, firstMove: 250, action: 1000, home: 1900 })).toEqual([
      ['stance', -220, 0],
      ['reaction', 0, 250],
      ['travel+load', 250, 1000],
      ['recovery', 1000, 1900],
    ]);
    expect(bands({ cue: 0, home: 1900 }).at(-1)).toEqual([
      'reaction+travel+load+action+recovery',
      0,
      1900,
    ]);
  });

  test('a false start moves off before the cue', () => {
    expect(bands({ cue: 0, firstMove: -50, arrival: 800 })).toEqual([
      ['stance', -220, -50],
      ['travel', -50, 800],
    ]);
  });
});
