/** @jest-environment jsdom */
import {
  hearServerTime,
  onServerClock,
  serverAheadMs,
  setRight,
} from '../src/device/server-clock.js';

const NOW = Date.parse('2026-03-01T10:00:00Z');
const HOUR_MS = 3_600_000;
const hear = (aheadMs: number) => hearServerTime(new Date(NOW + aheadMs).toUTCString(), NOW);

beforeEach(() => hear(0));

describe('the server’s clock', () => {
  test('counts as the same within two minutes, and as off beyond', () => {
    hear(90_000);
    expect(serverAheadMs()).toBe(0);
    hear(-24 * HOUR_MS);
    expect(serverAheadMs()).toBe(-24 * HOUR_MS);
    hear(0);
    expect(serverAheadMs()).toBe(0);
  });

  test('is told once, and stays as it was said while replies differ by a moment', () => {
    let told = 0;
    const stop = onServerClock(() => told++);
    hear(HOUR_MS);
    hear(HOUR_MS + 5000);
    hear(HOUR_MS - 20_000);
    stop();
    expect(serverAheadMs()).toBe(HOUR_MS);
    expect(told).toBe(1);
  });

  test.each([null, 'yesterday'])('a reply that says %s says nothing', (date) => {
    hear(HOUR_MS);
    hearServerTime(date, NOW);
    expect(serverAheadMs()).toBe(HOUR_MS);
  });
});

describe('what is sent', () => {
  const set = { startedAt: '2026-03-01T10:00:00.000Z', day: '2026-03-01', rung: 2 };

  test('is let be while the clocks agree', () => {
    expect(setRight(set, 0)).toBe(set);
    expect(setRight([1], HOUR_MS)).toEqual([1]);
    expect(setRight('words', HOUR_MS)).toBe('words');
  });

  test('has its moments by the server’s clock, and the day that goes with them', () => {
    expect(setRight(set, -48 * HOUR_MS)).toEqual({
      ...{ startedAt: '2026-02-27T10:00:00.000Z', day: '2026-02-27', rung: 2 },
    });
    const corrected = { by: 'Mara', at: '2026-03-01T10:00:00.000Z' };
    expect(setRight({ ordinal: 1, corrected }, HOUR_MS)).toEqual({
      ...{ ordinal: 1, corrected: { by: 'Mara', at: '2026-03-01T11:00:00.000Z' } },
    });
  });

  test('what is shifted there and back is the same', () => {
    expect(setRight(setRight(set, 5 * HOUR_MS), -5 * HOUR_MS)).toEqual(set);
  });
});
