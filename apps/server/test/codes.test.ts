import { Codes } from '../src/platform/live/codes.js';

const MINUTE_MS = 60_000;
const from = '192.0.2.7';

/** How many of so many new codes are let in. */
const letIn = (codes: Codes, tries: number, nowMs: number, prefix = 'code'): number =>
  Array.from({ length: tries }, (_, i) => codes.mayTry(from, `${prefix}${i}`, nowMs)).filter(
    Boolean,
  ).length;

test('a hall full of drills comes in; a search for codes does not', () => {
  const codes = new Codes();
  expect(letIn(codes, 20, 0)).toBe(20);
  expect(letIn(codes, 300, 1000, 'other')).toBe(0);
  // Who is in already comes in again, and others are not held up.
  expect(codes.mayTry(from, 'code3', 2000)).toBe(true);
  expect(codes.mayTry('192.0.2.8', 'code3', 2000)).toBe(true);
});

test('each wait is longer than the one before', () => {
  const codes = new Codes();
  let nowMs = 0;
  const waits: number[] = [];
  for (let round = 0; round < 8; round++) {
    expect(letIn(codes, 21, nowMs, `round${round} `)).toBe(20);
    let waited = 0;
    while (!codes.mayTry(from, `next${round} ${waited}`, nowMs + waited) && waited < 1e8)
      waited += MINUTE_MS / 2;
    waits.push(waited);
    nowMs += waited + 2 * MINUTE_MS;
  }
  expect(waits[0]).toBe(MINUTE_MS);
  expect(waits).toEqual([...waits].sort((a, b) => a - b));
  expect(waits.at(-1)).toBe(60 * MINUTE_MS);
});
