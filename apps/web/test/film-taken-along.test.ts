import type { Alignment } from '@orthokin/core/film';
import type { TimedEvent } from '@orthokin/core/timing';
import fc from 'fast-check';
import { drawnPlaces, drawnWords } from '../src/film/draw/drawn-words.js';
import { clipOrder } from '../src/film/take-along/clip-order.js';
import { linesOf } from '../src/film/take-along/draw-page.js';

const FRAMES_MS = Array.from({ length: 900 }, (_, i) => (i * 1000) / 60);
const tied = (rate: number): Alignment => ({
  ...{ offsetMs: 500, rate, sdMs: 2, heard: new Map(), strays: [] },
});
const event = (name: TimedEvent['name'], atMs: number): TimedEvent => ({
  ...{ name, atMs, sdMs: 5, source: 'film' },
});
const EVENTS = [
  event('cue', 2000),
  event('firstMove', 2250),
  event('arrival', 3000),
  event('action', 3150),
  event('home', 4100),
];

describe('a rep as a clip', () => {
  test('shows every frame from half a second before the cue to half a second after its last event', () => {
    const { from, to, showS, words, bands } = clipOrder(EVENTS, FRAMES_MS, tied(1), 1, 'Rep 1');
    expect(showS).toHaveLength(to - from + 1);
    expect(words).toHaveLength(showS.length);
    expect(showS[0]).toBe(0);
    expect(showS.at(-1)).toBeCloseTo(3.1, 1);
    expect(words[0]).toMatch(/^−0\.5/);
    expect(bands.map(({ name }) => name)).toEqual([
      'stance',
      'reaction',
      'travel',
      'load',
      'recovery',
    ]);
  });

  test('slowed it lasts as much longer, and its ribbon stays where it was', () => {
    const whole = clipOrder(EVENTS, FRAMES_MS, tied(1), 1, 'Rep 1');
    const slow = clipOrder(EVENTS, FRAMES_MS, tied(1), 0.25, 'Rep 1');
    expect((slow.showS.at(-1) ?? 0) / (whole.showS.at(-1) ?? 1)).toBeCloseTo(4, 9);
    expect(slow.bands).toEqual(whole.bands);
  });

  test('a film slowed already is shown at the pace it was filmed at', () => {
    const { showS } = clipOrder(EVENTS, FRAMES_MS, tied(2), 1, 'Rep 1');
    expect(showS.at(-1)).toBeCloseTo(3.1, 1);
  });

  test('its bands follow each other inside the clip, whatever was marked', () => {
    const times = fc.uniqueArray(fc.integer({ min: 1, max: 6000 }), { minLength: 1, maxLength: 4 });
    const names = ['firstMove', 'arrival', 'action', 'home'] as const;
    fc.assert(
      fc.property(times, (given) => {
        const sorted = [...given].sort((a, b) => a - b);
        const events = [
          event('cue', 2000),
          ...sorted.map((ms, i) => event(names[i] ?? 'home', 2000 + ms)),
        ];
        const { bands, showS } = clipOrder(events, FRAMES_MS, tied(1), 0.5, 'Rep 1');
        expect(showS.every((s, i) => i === 0 || s > (showS[i - 1] ?? 0))).toBe(true);
        for (const [i, { from, to }] of bands.entries()) {
          expect(from).toBeGreaterThanOrEqual(bands[i - 1]?.to ?? 0);
          expect(to).toBeGreaterThanOrEqual(from);
          expect(to).toBeLessThanOrEqual(1);
        }
      }),
    );
  });
});

describe('an athlete’s page', () => {
  const measure = (text: string) => text.length;

  test('a text is broken between its words, none lost, none wider than there is room', () => {
    const text = fc.array(fc.stringMatching(/^[a-z]{1,9}$/), { minLength: 1, maxLength: 30 });
    fc.assert(
      fc.property(text, fc.integer({ min: 10, max: 40 }), (words, widest) => {
        const lines = linesOf(words.join(' '), widest, measure);
        expect(lines.join(' ')).toBe(words.join(' '));
        for (const line of lines) expect(line.length).toBeLessThanOrEqual(widest);
      }),
    );
  });

  test('a word too long for a line has one of its own', () => {
    expect(linesOf('a verylongword b', 5, measure)).toEqual(['a', 'verylongword', 'b']);
  });
});

describe('what is written beside what is drawn', () => {
  const [a, b, c] = [
    { x: 0, y: 0 },
    { x: 0, y: -10 },
    { x: 10, y: -10 },
  ] as const;

  test('a line says its lean, an angle its degrees at the joint, a word itself, a way nothing', () => {
    expect(drawnWords({ kind: 'line', from: a, to: b })).toEqual({
      ...{ at: { x: 0, y: -5 }, text: 'leans 0°' },
    });
    expect(drawnWords({ kind: 'angle', from: a, at: b, to: c })).toEqual({ at: b, text: '90°' });
    expect(drawnWords({ kind: 'word', at: c, text: 'low' })).toEqual({ at: c, text: 'low' });
    expect(drawnWords({ kind: 'path', places: [a, b] })).toBeNull();
    expect(drawnPlaces({ kind: 'angle', from: a, at: b, to: c })).toEqual([a, b, c]);
    expect(drawnPlaces({ kind: 'path', places: [a, b] })).toEqual([a, b]);
    expect(drawnPlaces({ kind: 'word', at: c, text: 'low' })).toEqual([]);
  });
});
