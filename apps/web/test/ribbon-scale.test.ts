import fc from 'fast-check';
import type { EventName, RepReading, TimedEvent } from '@orthokin/core/timing';
import { limitsOf, scaleFor, shifted, sinceCue, zeroOf } from '../src/parts/ribbon/scale.js';
import { segmentsOf, STANCE_MS } from '../src/parts/ribbon/segments.js';

const at = (name: EventName, atMs: number): TimedEvent => ({ name, atMs, sdMs: 5, source: 'hand' });
const REP = [at('cue', 5000), at('firstMove', 5240), at('action', 5900), at('home', 7100)];
const reading = (events: readonly TimedEvent[]) => ({ rep: { events } }) as unknown as RepReading;

const NONE = { limitsMs: {} };

describe('a scale', () => {
  test('holds every rep and every limit between its edges', () => {
    const { x, endMs, startMs } = scaleFor(
      [reading(REP)],
      { limitsMs: { recovery: 1500 } },
      100,
      900,
    );
    // The limit of the recovery stands at the action and 1.5 s.
    expect(endMs).toBe(900 + 1500 + 60);
    expect(startMs).toBe(-STANCE_MS - 130);
    expect(x(startMs)).toBe(100);
    expect(x(endMs)).toBe(900);
  });

  test('lined up at home the reps end at zero, and the earliest cue is still on it', () => {
    const longer = REP.map((event) =>
      event.name === 'home' ? { ...event, atMs: event.atMs + 800 } : event,
    );
    const { startMs, endMs } = scaleFor([reading(REP), reading(longer)], NONE, 0, 1000, 'home');
    expect(startMs).toBe(-2900 - STANCE_MS - 130);
    expect(endMs).toBe(460);
  });

  test('a rep without the event it is lined up at stands at its cue', () => {
    const lost = REP.filter(({ name }) => name !== 'home');
    expect(zeroOf(lost, 'home')).toBeUndefined();
    expect(scaleFor([reading(lost)], NONE, 0, 1000, 'home').startMs).toBe(-STANCE_MS - 130);
    expect(zeroOf(lost, 'cue')).toBe(0);
  });

  test('shifted, a moment stands where the rep’s zero puts it', () => {
    const scale = scaleFor([reading(REP)], NONE, 0, 1000);
    expect(shifted(scale, 2100).x(2100)).toBe(scale.x(0));
  });

  test('of any reps is ordered as time is', () => {
    const times = fc.array(fc.integer({ min: 1, max: 4000 }), { minLength: 4, maxLength: 4 });
    fc.assert(
      fc.property(times, fc.integer({ min: 0, max: 9000 }), (gaps, cueMs) => {
        const names = ['firstMove', 'arrival', 'action', 'home'] as const;
        let now = cueMs;
        const events = [
          at('cue', cueMs),
          ...names.map((name, i) => at(name, (now += gaps[i] ?? 0))),
        ];
        const { x, startMs, endMs } = scaleFor([reading(events)], NONE, 20, 800);
        const bands = segmentsOf(events);
        for (const { fromMs, toMs } of bands) {
          expect(fromMs).toBeGreaterThanOrEqual(startMs);
          expect(toMs).toBeLessThanOrEqual(endMs);
          expect(x(toMs)).toBeGreaterThanOrEqual(x(fromMs));
        }
        for (const [i, { fromMs }] of bands.entries())
          if (i > 0) expect(fromMs).toBe(bands[i - 1]?.toMs);
      }),
    );
  });
});

test('limits stand where their duration begins, and only where that was timed', () => {
  expect(limitsOf(REP, { reaction: 350, response: 1000, recovery: 1200, cycle: 2600 })).toEqual([
    { name: 'reaction', atMs: 350 },
    { name: 'response', atMs: 1000 },
    { name: 'recovery', atMs: 900 + 1200 },
    { name: 'cycle', atMs: 2600 },
  ]);
  const noAction = REP.filter(({ name }) => name !== 'action');
  expect(limitsOf(noAction, { recovery: 1200 })).toEqual([]);
  expect(sinceCue(noAction, 'action')).toBeUndefined();
  expect(sinceCue([], 'cue')).toBeUndefined();
});
