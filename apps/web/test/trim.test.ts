import { trimmed } from '../src/sound/trim.js';

const RATE = 1000;
const word = (before: number, length: number, after: number, level = 0.4): Float32Array =>
  Float32Array.from([
    ...Array.from({ length: before }, () => 0.001),
    ...Array.from({ length }, (_, i) => level * (i % 2 === 0 ? 1 : -1)),
    ...Array.from({ length: after }, () => 0),
  ]);

test('the silence before a word is cut to a few milliseconds, so that it begins when it is due', () => {
  const cut = trimmed(word(700, 200, 300), RATE);
  expect(cut).toHaveLength(5 + 200 + 60);
  expect(Math.abs(cut?.[5] ?? 0)).toBeCloseTo(0.8, 6);
});

test('a word without silence round it stays whole', () => {
  expect(trimmed(word(0, 200, 0), RATE)).toHaveLength(200);
});

test('a whisper and a shout come out as loud as each other', () => {
  const peak = (samples: Float32Array | null) => Math.max(...(samples ?? []));
  expect(peak(trimmed(word(10, 50, 10, 0.05), RATE))).toBeCloseTo(0.8, 6);
  expect(peak(trimmed(word(10, 50, 10, 0.99), RATE))).toBeCloseTo(0.8, 6);
});

test('where nothing was said there is no word', () => {
  expect(trimmed(word(500, 0, 500), RATE)).toBeNull();
  expect(trimmed(new Float32Array(0), RATE)).toBeNull();
});
