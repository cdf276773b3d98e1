import type { Cue } from '@orthokin/core/cue';
import { expectedMs, homeForSureMs } from '@orthokin/core/run';
import { trackOf } from '@orthokin/core/run';
import { PLAN } from './plan.js';

test('a track opens with its start tone and a count-in, and leaves each rep its time', () => {
  const { sounds, cuesMs, lengthMs } = trackOf(PLAN);
  expect(sounds.slice(0, 4).map(({ atMs, what }) => [atMs, what.kind])).toEqual([
    [0, 'start'],
    [1000, 'tick'],
    [2000, 'tick'],
    [3000, 'tick'],
  ]);
  expect(cuesMs.get(1)).toBe(5000);
  expect(cuesMs.get(2)).toBeCloseTo(5000 + homeForSureMs(PLAN, 'A') + 1000, 6);
  expect(sounds.at(-1)?.what.kind).toBe('rest');
  expect(lengthMs).toBeGreaterThan(sounds.at(-1)?.atMs ?? Infinity);
});

test('at a fixed pace cues come by the clock; a catch trial is silence, a switch a second cue', () => {
  const conditions = { ...PLAN.conditions, pace: { kind: 'fixed' as const, everyMs: 2000 } };
  const cues = [
    PLAN.cues[0],
    { ...PLAN.cues[1], catch: true },
    { ...PLAN.cues[2], switchTo: { target: 'B', afterMs: 120 } },
  ] as Cue[];
  const { sounds, cuesMs } = trackOf({ ...PLAN, conditions, cues });
  expect([...cuesMs]).toEqual([
    [1, 5000],
    // The catch trial is held for its time, and the clock begins anew after it.
    [3, 7000 + 1500 + 1000],
  ]);
  expect(sounds.find(({ what }) => what.kind === 'switch')).toMatchObject({
    atMs: 9620,
    what: { letter: 'B' },
  });
});

test('"freeze" is called where the athlete is to be stopped, and leaves time to look', () => {
  const cues = [{ ...PLAN.cues[0], freezeAt: 'load' as const }, PLAN.cues[1]] as Cue[];
  const { sounds, cuesMs } = trackOf({ ...PLAN, cues });
  const [cueMs = NaN, nextMs = NaN] = cuesMs.values();
  const freeze = sounds.find(({ what }) => what.kind === 'freeze');
  expect(freeze?.atMs).toBeCloseTo(cueMs + expectedMs(PLAN, 'A').load, 6);
  const unfrozen = [...trackOf(PLAN).cuesMs.values()];
  expect(nextMs - (unfrozen[1] ?? NaN)).toBe(3000);
});
