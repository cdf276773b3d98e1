import { encodeWav, REP_COLUMNS, repDictionary } from '@orthokin/core/formats';
import { judgeRep } from '@orthokin/core/progress';
import { readRep } from '@orthokin/core/timing';

const set = { setId: 's', startedAt: '2026-01-02T03:04:05Z', athlete: 'A', pattern: 'P', rung: 2 };
const reading = readRep(
  {
    ordinal: 3,
    target: 'B',
    events: [
      { name: 'cue', atMs: 1000, sdMs: 4.8, source: 'sensor' },
      { name: 'firstMove', atMs: 1260, sdMs: 45, source: 'hand' },
    ],
    seenFaults: ['wrong way'],
    struckOut: false,
  },
  { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-20, 120] },
);
const rowAgainst = (reactionMs: number) => {
  const verdicts = judgeRep(reading, { limitsMs: { reaction: reactionMs } });
  return Object.fromEntries(
    REP_COLUMNS.map(({ name, cell }) => [name, cell(set, reading, verdicts)]),
  );
};
const row = rowAgainst(300);

test('a row holds the events, the durations with their error, and empty cells for the rest', () => {
  expect(row).toMatchObject({
    rep: 3,
    target: 'B',
    faults: 'wrong way',
    sources: 'sensor; hand',
    cue_at_ms: 1000,
    first_move_at_ms: 1260,
    reaction_ms: 260,
    reaction_sd_ms: 45,
    recovery_ms: null,
    left_out_because: null,
  });
});

test('a rep stands against its limit by the same three words as everywhere', () => {
  expect(row).toMatchObject({
    reaction_limit_ms: 300,
    reaction_against_limit: 'too close to call',
  });
  expect(rowAgainst(150)).toMatchObject({ reaction_against_limit: 'over' });
  expect(rowAgainst(400)).toMatchObject({ reaction_against_limit: 'inside' });
  expect(row).toMatchObject({ cycle_limit_ms: null, cycle_against_limit: null });
});

test('the dictionary explains every column, and every time column has a unit', () => {
  const dictionary = repDictionary();
  expect(dictionary.map(([name]) => name)).toEqual(REP_COLUMNS.map(({ name }) => name));
  for (const [name, unit, meaning] of dictionary) {
    if (name?.endsWith('_ms')) expect(unit).toBe('ms');
    expect(meaning).toMatch(/\.$/);
  }
});

test('a WAV file says what it is, and cuts what is too loud', () => {
  const wav = encodeWav([0, 1, -1, 2], 8000);
  const view = new DataView(wav.buffer);
  const text = (at: number) => String.fromCharCode(...wav.subarray(at, at + 4));
  expect([text(0), text(8), text(12), text(36)]).toEqual(['RIFF', 'WAVE', 'fmt ', 'data']);
  expect(view.getUint32(4, true)).toBe(wav.length - 8);
  expect([view.getUint32(24, true), view.getUint32(28, true)]).toEqual([8000, 16_000]);
  expect([0, 1, 2, 3].map((i) => view.getInt16(44 + 2 * i, true))).toEqual([
    0, 32_767, -32_767, 32_767,
  ]);
});
