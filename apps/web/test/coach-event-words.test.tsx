/** @jest-environment jsdom */
import './support/text-encoder.js';
import { USUAL_RUNG, type CoachLimit, type Rung } from '@orthokin/core/pattern';
import { judgeSet, limitingGate } from '@orthokin/core/progress';
import { readRep, type RepReading, type TimedEvent } from '@orthokin/core/timing';
import { render, screen } from '@testing-library/react';
import { CoachEventTable } from '../src/review/set/CoachEventTable.js';
import { changeWords } from '../src/review/set/corrections.js';
import { lackWords, trainWords } from '../src/words/decision.js';
import { signedSeconds } from '../src/words/format.js';
import { coachLimitWords } from '../src/words/limit.js';
import { changesBetween } from '../src/words/rung.js';
import { gateSentences } from '../src/words/verdict.js';

const limit: CoachLimit = { event: 'prepared', from: 'arrival', limitMs: -100 };
const rung: Rung = {
  ...USUAL_RUNG,
  ...{ number: 1, name: 'Both', targets: ['A'], limitsMs: { response: 900 }, minValidReps: 4 },
  coachLimits: [limit],
};

/** A rep that arrives 0.8 s after its cue, prepared so long before that. */
function reading(ordinal: number, beforeMs: number | null): RepReading {
  const at = (name: TimedEvent['name'], atMs: number): TimedEvent => ({
    ...{ name, atMs: 5000 * ordinal + atMs, sdMs: 0, source: 'film' },
  });
  const prepared = { ...at('home', 800 - (beforeMs ?? 0)), name: 'prepared' };
  return readRep(
    {
      ...{ ordinal, target: 'A', seenFaults: [], struckOut: false },
      events: [at('cue', 0), at('firstMove', 250), at('arrival', 800)],
      marks: beforeMs === null ? null : { coachEvents: [prepared] },
    },
    { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-20, 120] },
  );
}
const setOf = (...beforeMs: (number | null)[]) => beforeMs.map((ms, i) => reading(i + 1, ms));

test.each<[CoachLimit['from'], number, string]>([
  ['arrival', -100, 'at least 0.10 s before arriving'],
  ['arrival', 50, 'within 0.05 s of arriving'],
  ['cue', 400, 'within 0.40 s of the cue'],
])('a limit from the %s of %d ms is said as people say it', (from, limitMs, words) => {
  expect(coachLimitWords({ from, limitMs })).toBe(words);
});

test('a time before is written with a minus, and nothing rounds to minus nothing', () => {
  expect([signedSeconds(-104), signedSeconds(-4), signedSeconds(120)]).toEqual([
    '−0.10',
    '0.00',
    '0.12',
  ]);
});

test('a set that keeps it says how often; one that does not, how late it comes and what to train', () => {
  const kept = judgeSet(setOf(200, 200, 200, 200), rung);
  expect(gateSentences(kept)).toContain(
    'Prepared: 4 of 4 at least 0.10 s before arriving, 0 later; 4 needed.',
  );
  const late = judgeSet(setOf(200, 200, 60, 40), rung);
  const gate = limitingGate(late);
  expect(gate && lackWords(gate)).toBe('prepared comes 0.06 s too late');
  expect(trainWords(gate)).toContain('“prepared”');
  expect(gateSentences(late).join(' ')).toContain('the 4th best came 0.06 s late');
});

test('reps in which nobody marked it are too few, and say what is missing', () => {
  const judged = judgeSet(setOf(200, 200, null, null), rung);
  expect(lackWords(judged.validReps)).toBe(
    '2 valid reps, 4 needed; prepared was not timed in 2 reps',
  );
});

test('a rung that asks for it, or asks for more, says so as a change', () => {
  const { coachLimits: _, ...plain } = rung;
  expect(changesBetween(plain, rung)).toEqual([
    {
      what: 'Events of your own',
      from: 'no limit',
      to: 'prepared at least 0.10 s before arriving',
    },
  ]);
});

test('a correction says that it was marked, and by how much it was moved', () => {
  const [before, after] = [reading(1, null).rep, reading(1, 200).rep];
  const stored = (rep: RepReading['rep']) => ({
    ...{ ...rep, id: 'r', replaces: null },
    ...{ events: [...rep.events], seenFaults: [...rep.seenFaults], marks: rep.marks ?? null },
  });
  expect(changeWords(stored(before), stored(after))).toBe('prepared added');
  expect(changeWords(stored(after), stored(reading(1, 300).rep))).toMatch(
    /^prepared moved .*0\.10/,
  );
});

test('the review has a line an event, from the cue and from arriving, and what the rung asks', () => {
  const { container, rerender } = render(
    <CoachEventTable readings={setOf(200, 240, 300, null)} rung={rung} />,
  );
  const row = screen.getByRole('row', { name: /^prepared/ });
  expect(row.textContent).toContain('asked: at least 0.10 s before arriving');
  const [fromCue, fromArrival] = screen.getAllByRole('cell').map(({ textContent }) => textContent);
  expect(fromCue).toBe('0.560.53 to 0.58');
  expect(fromArrival).toBe('−0.24−0.27 to −0.22');
  rerender(<CoachEventTable readings={setOf(null, null)} rung={rung} />);
  expect(container.textContent).toBe('');
});
