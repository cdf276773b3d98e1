import type { Alignment } from '@orthokin/core/film';
import type { TimedEvent } from '@orthokin/core/timing';
import fc from 'fast-check';
import { drawnPlaces, drawnWords } from '../src/film/draw/drawn-words.js';
import { clipOrder, type Clipped } from '../src/film/take-along/clip-order.js';
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
const clipped = (of: Partial<Clipped> = {}): Clipped => ({
  ...{ events: EVENTS, coachEvents: [], framesMs: FRAMES_MS, alignment: tied(1) },
  ...{ drawnAt: () => [], title: 'Rep 1', ...of },
});
const lengthS = (of: Clipped, speed: number) => clipOrder(of, speed).endS;

describe('a rep as a clip', () => {
  test('shows every frame from half a second before the cue to half a second after its last event', () => {
    const { from, frames, endS, bands } = clipOrder(clipped(), 1);
    expect(frames[0]?.showS).toBe(0);
    expect(endS).toBeCloseTo(3.1, 1);
    expect(frames).toHaveLength(Math.round(3.1 * 60) + 1);
    expect(FRAMES_MS[from]).toBeCloseTo(500 + 1500, -1);
    expect(frames[0]?.words[0]).toMatch(/^−0\.5/);
    expect(bands.map(({ name }) => name)).toEqual([
      'stance',
      'reaction',
      'travel',
      'load',
      'recovery',
    ]);
  });

  test('slowed it lasts as much longer, and its ribbon stays where it was', () => {
    const [whole, slow] = [clipOrder(clipped(), 1), clipOrder(clipped(), 0.25)];
    expect(slow.endS / whole.endS).toBeCloseTo(4, 9);
    expect(slow.bands).toEqual(whole.bands);
    expect(slow.frames.map(({ share }) => share)).toEqual(whole.frames.map(({ share }) => share));
  });

  test('a film slowed already is shown at the pace it was filmed at', () => {
    expect(lengthS(clipped({ alignment: tied(2) }), 1)).toBeCloseTo(3.1, 1);
  });

  test('what was marked last stands under the clock, the coach’s own events too', () => {
    const coachEvents = [{ name: 'prepared', atMs: 2600 }];
    const { frames } = clipOrder(clipped({ coachEvents }), 1);
    const said = frames.map(({ words }) => words[1]);
    expect(said[0]).toBeUndefined();
    expect(said.filter((words, i) => words !== said[i - 1])).toEqual([
      expect.stringMatching(/\+0\.250 s$/),
      'prepared +0.600 s',
      expect.stringMatching(/\+1\.000 s$/),
      expect.stringMatching(/\+1\.150 s$/),
      expect.stringMatching(/\+2\.100 s$/),
    ]);
  });

  test('a frame that was drawn on stands still for a second and a half, its drawing on it; the ribbon is as it was', () => {
    const line = { kind: 'line', from: { x: 10, y: 50 }, to: { x: 10, y: 20 } } as const;
    const { from } = clipOrder(clipped(), 1);
    const drawnAt = (frame: number) => (frame === from + 40 ? [line] : []);
    const [plain, drawn] = [clipOrder(clipped(), 1), clipOrder(clipped({ drawnAt }), 1)];
    const shift = drawn.frames.map(({ showS }, i) => showS - (plain.frames[i]?.showS ?? NaN));
    expect(Math.max(...shift.slice(0, 41))).toBe(0);
    for (const s of shift.slice(41)) expect(s).toBeCloseTo(1.5, 9);
    expect(drawn.endS - plain.endS).toBeCloseTo(1.5, 9);
    expect(drawn.frames[40]?.strokes).toEqual([
      { places: [line.from, line.to], words: { at: { x: 10, y: 35 }, text: 'leans 0°' } },
    ]);
    expect(drawn.frames.filter(({ strokes }) => strokes.length > 0)).toHaveLength(1);
    expect(drawn.bands).toEqual(plain.bands);
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
        const { bands, frames } = clipOrder(clipped({ events }), 0.5);
        expect(frames.every(({ showS }, i) => showS > (frames[i - 1]?.showS ?? -1))).toBe(true);
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
