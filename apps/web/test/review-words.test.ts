import type { ImportBody, RepReply, StandingReply } from '@orthokin/contract';
import {
  asymmetry,
  changeBetween,
  type Better,
  type Forecast,
  type TrainingDay,
} from '@orthokin/core/stats';
import { ok, wrong } from '@orthokin/core/result';
import { durationsOf, readRep, type RepReading } from '@orthokin/core/timing';
import { importBody, tooLong } from '../src/review/files/import-sets.js';
import { correctionOf } from '../src/drill/corrections.js';
import { changeWords, correctionsOf, moved } from '../src/review/set/corrections.js';
import { inView, PLAIN_VIEW, referenceOf } from '../src/review/set/useSetView.js';
import { workOut } from '../src/review/sums/sums.js';
import {
  betterSentence,
  chanceWords,
  doubtSentence,
  settleSentence,
  forecastSentence,
  whyNotSentence,
} from '../src/words/change.js';
import { hickSentence, sidesSentence, tailSentence } from '../src/words/closer.js';
import { compareSentence, notAlikeSentence } from '../src/words/compare.js';
import { cautions, leanSentence } from '../src/words/report.js';
import { differenceSentence, fadeSentence, signed, trialSentence } from '../src/words/set.js';
import { changeCell, sidesCell, squadSentences, heldCell } from '../src/words/glance.js';
import { PLAN } from './plan.js';

const day = (ms: number, i: number): TrainingDay => ({ day: 3 * i, setsMs: [ms] });
/** A change between days whose own form is known for certain. */
const better = (before: number[], after: number[], sdMs: number): Better => {
  const form = {
    medianMs: 2000,
    within: { ms2: 0, df: 1e6 },
    between: { ms2: sdMs ** 2, df: 1e6 },
  };
  return {
    change: changeBetween(before.map(day), after.map(day), form, 0.3 * sdMs),
    ...{ before: [], after: [], form, worthwhileFrom: 'the athlete', formFrom: 'what is usual' },
  };
};

describe('is it better, in words', () => {
  test.each<[number, string]>([
    [-200, 'Clearly faster: cycle 2.00 → 1.80 s, 0.20 s less.'],
    [200, 'Clearly slower: cycle 2.00 → 2.20 s, 0.20 s more.'],
    [-70, 'Probably faster: cycle 2.00 → 1.93 s, 0.07 s less.'],
    [2, 'No clear change: cycle 2.00 → 2.00 s, the same.'],
  ])('a change of %i ms', (change, words) => {
    expect(betterSentence(better([2000], [2000 + change], 30), 'cycle')).toBe(words);
  });

  test('the doubt gives its numbers, and never more certainty than the model has', () => {
    const words = doubtSentence(better([2000, 2010], [1800, 1790], 30));
    expect(words).toContain('2 days before and 2 days after');
    expect(words).toContain('days differ by about ±0.03 s though nothing is learnt');
    expect(words).toMatch(/more than the 0\.06 s that such days alone would seldom make/);
    expect(words).toMatch(/over 99 %; slower by as much: under 1 %\.$/);
    expect([0.5, 0.999, 0.001].map(chanceWords)).toEqual(['50 %', 'over 99 %', 'under 1 %']);
  });

  test('a change that is not clear says how many more days would settle it, or that none would', () => {
    const sentence = (before: number[], after: number[]) =>
      settleSentence(better(before, after, 30).change);
    expect(sentence([2000], [1700])).toBeNull();
    expect(sentence([2000, 2000, 2000, 2000], [1940])).toMatch(
      /^About \d+ more days? like the last would make it clearly faster\.$/,
    );
    expect(sentence([2000], [2010])).toMatch(/^As it stands no number of days/);
  });

  test('what cannot be compared says why and what would help', () => {
    expect(whyNotSentence('no sets alike')).toMatch(/Run the standard test again\.$/);
    expect(whyNotSentence('a day in both')).toMatch(/share no day\.$/);
  });
});

describe('where it leads', () => {
  const made = (part: Partial<Forecast>) =>
    ok({
      curve: { floor: 1, gain: 1, rate: 1, rss: 0 },
      ...{ bands: [], metAt: 14, likely: { low: 12, high: 20 }, chance: 0.9, reachedChance: 0.99 },
      hasReached: false,
      ...part,
    });
  const asked = { thresholdMs: 1260, horizon: 30, done: 10 };

  test.each<[string, ReturnType<typeof made>, RegExp]>([
    ['ahead', made({}), /1\.26 s is met in about 4 more sessions: session 14, 95 % between/],
    [
      'reached',
      made({ metAt: 8, hasReached: true }),
      /has reached 1\.26 s: the curve met it in session 8/,
    ],
    ['perhaps', made({ metAt: 8, reachedChance: 0.6 }), /its days scatter: 60 % of resampled/],
    ['out of reach', made({ metAt: null, chance: 0.03 }), /^Not on this course.*\(3 % of/],
    ['perhaps never', made({ likely: { low: 12, high: null } }), /from session 12, and perhaps/],
  ])('%s', (_, forecast, words) => {
    expect(forecastSentence(forecast, asked)).toMatch(words);
  });

  test('with too few sessions it says how many it takes', () => {
    expect(forecastSentence(wrong('sessions', 3, 'at least 5 sessions'), asked)).toBe(
      'No forecast yet: 3 sessions, at least 5 sessions needed.',
    );
  });
});

const EVENTS = [
  ['cue', 0],
  ['firstMove', 250],
  ['arrival', 1000],
  ['action', 1130],
  ['home', 2000],
] as const;
const repOf = (ordinal: number, change: Partial<RepReply> = {}, later = 0): RepReply => ({
  id: `rep ${ordinal}`,
  ...{ ordinal, target: ordinal % 2 ? 'A' : 'B', seenFaults: [], struckOut: false },
  replaces: null,
  events: EVENTS.map(([name, atMs]) => ({
    ...{ name, sdMs: 4, source: 'sensor' as const },
    atMs: ordinal * 5000 + atMs + (name === 'home' ? later : 0),
  })),
  ...change,
});
const read = (rep: RepReply, trial?: RepReading['trial']): RepReading =>
  readRep(rep, { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-60, 120] }, trial);

describe('corrections', () => {
  test('an event is moved as the coach’s own judgement, where it can have been', () => {
    const rep = repOf(1);
    const result = moved(rep, 'home', 2200);
    expect(result.ok && result.value.at(-1)).toMatchObject({
      ...{ name: 'home', atMs: 7200, source: 'hand', sdMs: 45 },
    });
    expect(moved(rep, 'home', 900)).toMatchObject({ ok: false });
  });

  test('each is told with what it changed, the newest first; only what stands can be undone', () => {
    const first = repOf(1);
    const struck: RepReply = {
      ...correctionOf(first, { struckOut: true }, 'Mara'),
      id: 'second',
    };
    const back: RepReply = { ...correctionOf(struck, { struckOut: false }, 'Jo'), id: 'third' };
    const lines = correctionsOf([first, struck, back]);
    expect(lines.map(({ words, stands, rep }) => [words, stands, rep.corrected?.by])).toEqual([
      ['restored', true, 'Jo'],
      ['struck out', false, 'Mara'],
    ]);
    expect(struck.replaces).toBe(first.id);
    expect(changeWords(first, repOf(1, {}, 120))).toBe('home moved by +0.12 s');
    expect(changeWords(first, repOf(1, { seenFaults: ['lean'] }))).toBe('faults lean');
    expect(changeWords(first, first)).toBe('run again');
  });
});

describe('the view of a set', () => {
  const readings = [read(repOf(1, {}, 300)), read(repOf(2)), read(repOf(3, {}, 100))];

  test('sorts, and leaves out what cannot be lined up', () => {
    const order = (view: Partial<typeof PLAIN_VIEW>) =>
      inView(readings, { ...PLAIN_VIEW, ...view }).map(({ rep }) => rep.ordinal);
    expect(order({})).toEqual([1, 2, 3]);
    expect(order({ sort: 'time' })).toEqual([2, 3, 1]);
    expect(order({ sort: 'target' })).toEqual([1, 3, 2]);
    expect(order({ by: 'hand' })).toEqual([]);
    const untimed = read(repOf(4, { events: repOf(4).events.slice(0, 2) }));
    expect(inView([...readings, untimed], { ...PLAIN_VIEW, at: 'home' })).toHaveLength(3);
  });

  test('the reference is a rep of the set or the middle of it', () => {
    const of = (reference: string) => referenceOf(readings, { ...PLAIN_VIEW, reference });
    expect(of('none')).toBeUndefined();
    expect(of('2')?.rep.ordinal).toBe(2);
    expect(of('9')).toBeUndefined();
    expect(durationsOf(of('median')?.rep.events ?? []).cycle?.ms).toBe(2100);
  });
});

describe('single findings in words', () => {
  test('differences carry their sign, and are silent inside the timing’s error', () => {
    expect([signed(54), signed(-54), signed(3)]).toEqual(['+0.05', '−0.05', '0.00']);
    const difference = { name: 'recovery', ms: 120, sdMs: 10, isSure: true } as const;
    expect(differenceSentence([difference])).toBe('Recovery differs most: +0.12 s.');
    expect(differenceSentence([{ ...difference, isSure: false }])).toMatch(/^No phase differs/);
    expect(differenceSentence([])).toMatch(/^Nothing of it/);
  });

  test('fade, trials, tail, sides and choice each say so when there is too little', () => {
    expect(fadeSentence('the cycle', null)).toMatch(/^Too few reps/);
    expect(trialSentence([read(repOf(1))])).toBeNull();
    const moves = repOf(2, { events: [{ name: 'firstMove', atMs: 1, sdMs: 4, source: 'hand' }] });
    expect(trialSentence([read(repOf(1, { events: [] }), 'catch'), read(moves, 'catch')])).toBe(
      'Apart from the timed reps: held still in 1 of 2 waits without a cue.',
    );
    expect(tailSentence(wrong('times', 12, 'at least 40 times'))).toBe(
      'The tail of the reactions needs at least 40 times; there are 12.',
    );
    expect(sidesSentence({ sides: null, lean: null, leanChange: null })).toMatch(
      /^Sides cannot be compared/,
    );
    const sides = asymmetry([500, 510, 505, 515], [450, 455, 460, 452]);
    expect(sidesSentence({ sides, lean: null, leanChange: null })).toMatch(
      /^Slower to the left by 11.2 %/,
    );
    // Over days what single reps seemed to say may be nothing.
    const lean = { percent: 6, days: 4, interval: { low: -2, high: 14 }, p: 0.1 };
    const none = { percent: 2, nowPercent: 7, daysBefore: 4, daysNow: 4, p: 0.4 };
    expect(sidesSentence({ sides, lean, leanChange: none })).toMatch(
      /^No clear difference.*over 4 days/,
    );
    // What is new of late is said, though all days together say nothing.
    const anew = { percent: -11, nowPercent: -10.5, daysBefore: 12, daysNow: 4, p: 1e-6 };
    expect(sidesSentence({ sides, lean, leanChange: anew })).toMatch(
      /^Slower to the right by 10.5 %, which is new: so over the newest 4 days; over the 12 before, to the left by 0.5 %/,
    );
    expect(hickSentence(wrong('choices', 2, 'at least 3 different numbers of targets'))).toBe(
      'What choice costs is not known: it takes at least 3 different numbers of targets in play, and there are 2.',
    );
  });

  test('two groups: a shift only when the interval leaves zero out', () => {
    const comparison = {
      ...{ n: [10, 12] as const, medianMs: [2000, 1900] as const, p: 0.01, longerChance: 0.2 },
      ...{ shiftMs: -100, interval: { low: -150, high: -40 } },
    };
    expect(compareSentence(comparison, 'cycle', 'second')).toBe(
      'Cycle 2.00 s (10 reps) and 1.90 s (12): the second typically 0.10 s quicker, 95 % −0.15 to −0.04 s.',
    );
    const across = { ...comparison, interval: { low: -150, high: 40 } };
    expect(compareSentence(across, 'cycle', 'second')).toMatch(/no clear difference/);
    expect(compareSentence(null, 'cycle', 'second')).toMatch(/^Too few/);
    expect(notAlikeSentence(['timing', 'kind of cue'])).toContain('timing and kind of cue');
  });
});

describe('the squad in words', () => {
  const NOW = Date.UTC(2026, 2, 20);
  const stay = {
    ...{ answer: 'stay', because: 'a gate holds', setIds: ['s'] },
    limiting: { gate: 'recovery', overMs: 60, verdict: 'fail' },
  } as unknown as StandingReply['decision'];
  const silent = { change: null, slowerSide: null, isNewLean: false, isStuck: false } as const;
  const line = (
    name: string,
    part: Partial<StandingReply> = {},
    standing: Partial<StandingReply['standing']> = {},
  ): StandingReply => ({
    ...{ patternId: 'p', patternName: 'Star', rung: 2, rungName: 'Mixed', rungs: 5 },
    ...{ restricted: false, lastSet: null, held: null, claims: silent, decision: stay },
    ...{ need: 'on their way', course: null },
    athlete: { ...PLAN.athlete, id: name, name },
    standing: {
      ...{ duration: 'cycle', basis: 'the standard test', whyNot: null },
      ...{ lean: null, leanChange: null },
      ...{ beforeSetId: 'a', afterSetId: 'b', lastTimedMs: NOW - 86_400_000 },
      change: better([2000], [1700], 30).change,
      ...standing,
    },
    ...part,
  });
  const lean = { percent: 5, days: 9, interval: { low: 4, high: 6 }, p: 0.001 };
  const leanChange = { percent: 8, nowPercent: 9, daysBefore: 5, daysNow: 4, p: 0.001 };

  test('only what stands among so many is said: who improved, is stuck, leans, is missing', () => {
    const lines = [
      line(
        'Ada',
        { claims: { ...silent, change: 'faster', slowerSide: 'left', isNewLean: true } },
        { lean, leanChange },
      ),
      line('Bo', { claims: { ...silent, isStuck: true } }),
      line('Cy', {}, { lastTimedMs: NOW - 20 * 86_400_000 }),
      line('Dee', { claims: { ...silent, change: 'slower' } }),
    ];
    expect(squadSentences(lines, NOW)).toEqual([
      '1 of 4 athletes clearly faster: Ada.',
      'Clearly slower: Dee.',
      'Held on one rung day after day: Bo (recovery).',
      'A new difference between the sides: Ada (new: left 9 % slower).',
      'Not timed for more than 10 days: Cy.',
    ]);
    expect(squadSentences([])).toEqual(['No athletes in this club yet.']);
  });

  test('cells are short, and honest where nothing can be said', () => {
    // Clear for one athlete alone, but not among so many.
    expect(changeCell(line('Ada'))).toBe('not clear, −0.30\u00a0s');
    expect(changeCell(line('Ada', {}, { change: null, whyNot: 'no sets alike' }))).toBe(
      'nothing alike to compare yet',
    );
    const held = { days: 6, sets: 12, passShare: 0.5, asked: 0.8, p: 0.001 };
    expect(heldCell(line('Ada', { held }))).toBe(
      'recovery is 0.06 s too slow, 50 % kept over 6 days',
    );
    expect(sidesCell(line('Ada'))).toBe('too few days');
    expect(sidesCell(line('Ada', {}, { lean }))).toBe('no clear difference');
    expect(leanSentence({ lean: null, leanChange: null })).toBe(
      'Left and right could not be compared.',
    );
    expect(leanSentence({ lean, leanChange: null })).toMatch(
      /slower to the left by 5 % \(over 9 days/,
    );
    const leanChange = { percent: 9, nowPercent: 10, daysBefore: 8, daysNow: 4, p: 1e-5 };
    expect(leanSentence({ lean, leanChange })).toBe(
      'Left and right: slower to the left by 10 % (over the newest 4 days), which is new.',
    );
  });

  test('cautions begin with the athlete’s own', () => {
    expect(cautions({ ...PLAN.athlete, ageBand: 'adult', note: null })).toHaveLength(3);
    const own = cautions({ ...PLAN.athlete, ageBand: 'under 13', note: 'Back from a sprain.' });
    expect(own[0]).toMatch(/^Back from a sprain\. Only what the clinician/);
    expect(own[1]).toMatch(/guardian/);
  });
});

describe('reps timed elsewhere, as they are sent', () => {
  const sets = [
    {
      ...{ athlete: 'Ada', day: '2026-03-01', set: '1' },
      reps: [{ row: 4, target: 'A', events: repOf(0).events }],
    },
  ];
  const about = {
    ...{ pattern: PLAN.pattern, rung: 1, source: 'film' as const, sense: 'seen' as const },
    athleteIds: new Map([['Ada', 'ada']]),
  };

  test('the same table makes the same ids, another day makes others', () => {
    const ids = ({ sets: made }: ImportBody) => made.flatMap(({ id, reps }) => [id, reps[0]?.id]);
    const once = importBody(sets, about);
    expect(ids(importBody(sets, about))).toEqual(ids(once));
    const later = importBody(
      sets.map((set) => ({ ...set, day: '2026-03-02' })),
      about,
    );
    expect(ids(later)).not.toEqual(ids(once));
    expect(once.sets[0]?.body).toMatchObject({
      ...{ athleteId: 'ada', day: '2026-03-01', source: 'film' },
      conditions: { cueKinds: ['marker'] },
    });
  });

  test('a set longer than a set can be is named', () => {
    const [set] = sets;
    const [rep] = set?.reps ?? [];
    if (!set || !rep) throw new Error('There is one.');
    const long = { ...set, reps: Array.from({ length: 201 }, (_, i) => ({ ...rep, row: i + 1 })) };
    expect(tooLong([set])).toEqual([]);
    expect(tooLong([long])).toMatchObject([{ row: 201, field: 'set' }]);
  });
});

test('a long sum gives the same answer again', () => {
  const reps = Array.from({ length: 60 }, (_, i) => ({ ms: 240 + ((i * 37) % 90), set: i % 3 }));
  const sum = {
    kind: 'closer' as const,
    targets: PLAN.pattern.targets,
    rung: 2,
    sets: [1, 2, 2].map((rung, i) => ({ rung, day: `2026-03-0${i + 1}`, choices: i + 2 })),
    reps: {
      setIds: ['a', 'b', 'c'],
      set: reps.map(({ set }) => set),
      target: reps.map((_, i) => (i % 2 ? 'A' : 'B')),
      reaction: reps.map(({ ms }) => ms),
      ...{ response: reps.map(() => null), travel: reps.map(() => null) },
      recovery: reps.map(({ ms }) => 4 * ms),
      cycle: reps.map(({ ms }) => 9 * ms),
    },
  };
  const once = workOut(sum, () => undefined);
  expect(workOut(sum, () => undefined)).toEqual(once);
  // Only the two sets on rung 2 count, but for the price of choice.
  expect(once).toMatchObject({
    medians: { reaction: { n: 40 } },
    tail: { ok: true, value: { n: 40 } },
    hick: { ok: true, value: { n: 60 } },
  });
});
