import fc from 'fast-check';
import { normal, seededRandom } from '@orthokin/core/cue';
import {
  alignByMarks,
  alignCues,
  asHeardByAthlete,
  captureRate,
  distanceOf,
  findTones,
  frameAt,
  frameRate,
  framesThrough,
  groundOf,
  inPicture,
  inRecording,
  lineInPicture,
  markAt,
  marksVtt,
  onFloor,
  onSetClock,
  repeatabilityMs,
  taggedFactor,
  tiedByHand,
  usualRepeatabilityMs,
  vttTime,
  type Ground,
} from '@orthokin/core/film';
import { median } from '@orthokin/core/numeric';

const RATE_HZ = 16_000;
const HZ = 880;

/** A recording with tones at these times (ms): direct sound, a hall's tail of so long, noise of so much. */
function recording(
  onsetsMs: readonly number[],
  {
    seed = 1,
    hallS = 0,
    noise = 0,
    hz = HZ,
    lengthS = 0.14,
  }: { seed?: number; hallS?: number; noise?: number; hz?: number; lengthS?: number } = {},
): Float32Array {
  const random = seededRandom(seed);
  const samples = new Float32Array(Math.ceil((((onsetsMs.at(-1) ?? 0) + 2500) / 1000) * RATE_HZ));
  const echoes = Array.from({ length: hallS > 0 ? 60 : 0 }, () => {
    const s = 0.012 + random() * hallS;
    return { s, gain: 0.28 * Math.exp((-3 * s) / hallS) * (random() < 0.5 ? -1 : 1) };
  });
  for (const onset of onsetsMs)
    for (const { s, gain } of [{ s: 0, gain: 0.5 }, ...echoes]) {
      const start = (onset / 1000 + s) * RATE_HZ;
      for (let n = Math.ceil(start); n < start + lengthS * RATE_HZ && n < samples.length; n++)
        samples[n] =
          (samples[n] ?? 0) + gain * Math.sin((2 * Math.PI * hz * (n - start)) / RATE_HZ);
    }
  return noise === 0 ? samples : samples.map((sample) => sample + noise * normal(random, 0, 1));
}

const ONSETS = [503.2, 3120.7, 5044.4, 8250.9, 10_771.3, 14_002.6];

describe('tones in a recording', () => {
  test.each([
    ['in a dry room', {}],
    ['in noise', { noise: 0.08 }],
    ['in a hall', { hallS: 1.2 }],
    ['in a noisy hall', { hallS: 0.8, noise: 0.05 }],
    ['slowed four times', { hz: HZ / 4, lengthS: 0.56 }],
  ])('are found within 3 ms in the middle, %s', (_, room) => {
    const errors = [1, 2, 3, 4, 5].flatMap((seed) => {
      const found = findTones(
        recording(ONSETS, { seed, ...room }),
        RATE_HZ,
        'hz' in room ? room.hz : HZ,
      );
      expect(found).toHaveLength(ONSETS.length);
      return found.map((ms, i) => Math.abs(ms - (ONSETS[i] as number)));
    });
    expect(median(errors)).toBeLessThan(3);
  });

  test('hardly any of them is off by more than falls into place, in a noisy room', () => {
    const many = Array.from({ length: 60 }, (_, i) => 700 + 1111.37 * i);
    const found = [1, 2].flatMap((seed) =>
      findTones(recording(many, { seed, noise: 0.06 }), RATE_HZ, HZ).map((ms, i) =>
        Math.abs(ms - (many[i] as number)),
      ),
    );
    expect(found).toHaveLength(120);
    expect(found.filter((off) => off > 8).length).toBeLessThanOrEqual(1);
  });

  test('neither silence, noise, another tone nor a click is one', () => {
    expect(findTones(new Float32Array(RATE_HZ), RATE_HZ, HZ)).toEqual([]);
    expect(findTones(recording([2000], { noise: 0.2, hz: 3000 }), RATE_HZ, HZ)).toEqual([]);
    expect(findTones(recording([2000], { lengthS: 0.004 }), RATE_HZ, HZ)).toEqual([]);
  });
});

describe('a recording against its set', () => {
  test('whatever is missed or false, the line is found, and what was false is named', () => {
    fc.assert(
      fc.property(
        ...([
          fc.array(fc.integer({ min: 1500, max: 4800 }), { minLength: 8, maxLength: 20 }),
          fc.constantFrom(1, 2, 4, 8),
          fc.integer({ min: -5000, max: 90_000 }),
          fc.integer({ min: 0, max: 2 }),
        ] as const),
        (gaps, rate, offset, drop) => {
          let at = 0;
          const planned = gaps.map((gap) => (at += gap));
          const heard = planned
            .filter((_, i) => i < planned.length - drop)
            .map((ms) => offset + rate * ms);
          const stray = offset + rate * ((planned[0] ?? 0) + 700);
          const all = [...heard, stray].sort((a, b) => a - b);
          const found = alignCues(planned, all);
          if (!found.ok) throw new Error(found.problem.given);
          expect(found.value.rate).toBeCloseTo(rate, 6);
          expect(found.value.strays).toEqual([stray]);
          for (const ms of planned)
            expect(onSetClock(found.value, inRecording(found.value, ms))).toBeCloseTo(ms, 6);
        },
      ),
    );
  });

  test('of few cues the error said is that of the tones, not smaller', () => {
    const planned = [1000, 4200, 7700, 12_300];
    const squares = Array.from({ length: 600 }, (_, seed) => {
      const random = seededRandom(seed + 1);
      const found = alignCues(
        planned,
        planned.map((ms) => ms + normal(random, 0, 2)),
      );
      return found.ok ? found.value.sdMs ** 2 : NaN;
    });
    const sdMs = Math.sqrt(squares.reduce((sum, each) => sum + each, 0) / squares.length);
    expect(sdMs).toBeGreaterThan(1.85);
    expect(sdMs).toBeLessThan(2.15);
  });

  test('who stands nearer to the loudspeaker than the camera heard the cue sooner', () => {
    const found = alignCues([1000, 4200, 7700], [2000, 8400, 15_400]);
    if (!found.ok) throw new Error(found.problem.given);
    const at = (toCameraM: number, toAthleteM: number) =>
      asHeardByAthlete(found.value, { toCameraM, toAthleteM });
    expect(at(5, 5)).toEqual(found.value);
    // Ten metres nearer: 29 ms of the set sooner, twice that in a film slowed twice.
    expect(inRecording(at(12, 2), 4200)).toBeCloseTo(8400 - 58, 6);
    expect(onSetClock(at(12, 2), 8400)).toBeCloseTo(4200 + 29, 6);
  });

  test('a recording of another set is not taken for this one', () => {
    const planned = [1000, 4200, 6100, 9900, 12_000, 15_800];
    expect(alignCues(planned, [500, 900])).toMatchObject({
      ok: false,
      problem: { field: 'heard' },
    });
    expect(alignCues(planned, [])).toMatchObject({ ok: false });
  });

  test('without sound two marked cues fix it; in the wrong order they cannot', () => {
    const first = { setMs: 1000, recordingMs: 5000 };
    const marked = alignByMarks([first, { setMs: 11_000, recordingMs: 45_000 }], 40);
    expect(marked).toMatchObject({ ok: true, value: { rate: 4, offsetMs: 1000, sdMs: 10 } });
    expect(alignByMarks([first, { setMs: 11_000, recordingMs: 4000 }], 40).ok).toBe(false);
    expect(alignByMarks([first, first], 40).ok).toBe(false);
  });
});

describe('what a film’s tags say of it', () => {
  const float32 = (value: number) => {
    const bytes = new Uint8Array(7);
    new DataView(bytes.buffer).setFloat32(3, value);
    return bytes.subarray(3);
  };
  const tagged = (tag: unknown) => captureRate({ 'com.android.capture.fps': tag });

  test('is read from text and from raw bytes; what no camera does is not believed', () => {
    expect([tagged('240'), tagged('119.88'), tagged(float32(240))]).toEqual([240, 119.88, 240]);
    for (const nothing of [
      '',
      'fast',
      '0',
      '-30',
      '99999',
      new Uint8Array(8),
      240,
      null,
      undefined,
    ])
      expect(tagged(nothing)).toBeNull();
    expect(captureRate({})).toBeNull();
  });

  test('makes a factor of slow motion, or none', () => {
    const played = (perS: number) => Array.from({ length: 9 }, (_, i) => (i * 1000) / perS);
    expect([
      taggedFactor(240, played(29.97)),
      taggedFactor(119.9, played(29.97)),
      taggedFactor(60, played(59.94)),
    ]).toEqual([8, 4, 1]);
    expect([taggedFactor(null, played(30)), taggedFactor(240, [0])]).toEqual([null, null]);
    expect([taggedFactor(90, played(30)), taggedFactor(30, played(120))]).toEqual([null, null]);
  });

  test('said by hand, it is the only one that is thought of; then one marked cue ties a film', () => {
    const plannedMs = [1000, 4000, 9000, 12_500];
    const heardMs = plannedMs.map((ms) => 4 * ms + 70);
    expect(alignCues(plannedMs, heardMs, [1])).toMatchObject({ ok: false });
    const found = alignCues(plannedMs, heardMs, [4]);
    expect(found.ok && found.value.rate).toBeCloseTo(4, 6);
    const cue = { name: 'cue', atMs: 4000, sdMs: 3, source: 'sensor' } as const;
    const marks = { 2: { frames: { cue: 30 }, missed: false } };
    const framesMs = Array.from({ length: 60 }, (_, i) => (i * 1000) / 30);
    const by = (factor: 4 | null) =>
      tiedByHand([{ ordinal: 2, target: 'A', cue }], marks, framesMs, factor);
    expect(by(null)).toBeNull();
    expect(by(4)).toMatchObject({ rate: 4, sdMs: 15 / 4 });
    expect(inRecording(by(4) ?? { offsetMs: NaN, rate: NaN }, 4000)).toBeCloseTo(
      (29.5 * 1000) / 30,
      6,
    );
  });
});

describe('an event marked at a frame', () => {
  const at120 = Array.from({ length: 100 }, (_, i) => 33 + (i * 1000) / 120);

  test('lies in the middle of the gap, sure to the gap and the marker', () => {
    const mark = markAt(at120, 10, 1);
    expect(mark.recordingMs).toBeCloseTo(33 + (9.5 * 1000) / 120);
    expect(mark.sdMs).toBeCloseTo(Math.hypot(1000 / 120 / Math.sqrt(12), 8));
    // Slowed four times the gap that counts is a quarter.
    expect(markAt(at120, 10, 4, 0).sdMs).toBeCloseTo(1000 / 480 / Math.sqrt(12));
    expect(markAt(at120, 0, 1).recordingMs).toBeLessThan(33);
  });

  test('a slower camera is marked less surely', () => {
    expect(usualRepeatabilityMs(1000 / 240)).toBe(8);
    expect(usualRepeatabilityMs(1000 / 30)).toBe(15);
    expect(usualRepeatabilityMs(1000 / 60)).toBeCloseTo(10.33, 1);
    expect(usualRepeatabilityMs(1000 / 10)).toBe(15);
  });

  test('marked again, blind, it tells the marker’s own repeatability', () => {
    const random = seededRandom(7);
    const truth = Array.from({ length: 400 }, (_, i) => 1000 * i);
    const marked = () => truth.map((ms) => ms + 9 * normal(random, 0, 1));
    expect(repeatabilityMs(marked(), marked())).toBeGreaterThan(8);
    expect(repeatabilityMs(marked(), marked())).toBeLessThan(10);
    expect(repeatabilityMs([1], [2])).toBeNull();
  });

  test('frames through a stretch are all of it, or so many of them from end to end', () => {
    const framesMs = Array.from({ length: 100 }, (_, i) => 10 * i);
    expect(framesThrough(framesMs, 95, 130, 90)).toEqual([9, 10, 11, 12, 13]);
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 990 }),
        fc.integer({ min: 1, max: 50 }),
        (from, most) => {
          const some = framesThrough(framesMs, from, 990, most);
          expect(some.length).toBeLessThanOrEqual(most);
          expect(some[0]).toBe(frameAt(framesMs, from));
          expect(some.at(-1)).toBeLessThanOrEqual(99);
        },
      ),
    );
  });

  test('the frame on the screen is the last that is not later', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 2, maxLength: 60 }),
        fc.integer({ min: -50, max: 4000 }),
        (gaps, ms) => {
          let at = 40;
          const frames = gaps.map((gap) => (at += gap));
          const shown = frames[frameAt(frames, ms)] as number;
          const slow = frames.filter((frame) => frame <= ms).at(-1) ?? frames[0];
          expect(shown).toBe(slow);
        },
      ),
    );
    expect(frameRate(at120)).toMatchObject({ varies: false });
    expect(frameRate([0, 33, 66, 166, 199])).toEqual({ gapMs: 33, varies: true });
    expect(frameRate([0, 17, 33, 50]).gapMs).toBeCloseTo(1000 / 60);
    expect(frameRate([5])).toEqual({ gapMs: 0, varies: false });
  });
});

describe('the floor under a picture', () => {
  const camera = (x: number, y: number) => ({
    x: 640 + (700 * x) / (6 + y),
    y: 300 + 2600 / (6 + y),
  });
  const floor = [
    [-2, 2],
    [2, 2],
    [2, -2],
    [-2, -2],
    [0, 2.4],
    [2.4, 0],
  ].map(([x = 0, y = 0]) => ({ x, y }));
  const ground = (sdPx: number, seed: number | null): Ground => {
    const random = seededRandom(seed ?? 1);
    const off = () => (seed === null ? 0 : sdPx * normal(random, 0, 1));
    const found = groundOf(
      floor.map((place) => {
        const { x, y } = camera(place.x, place.y);
        return { floor: place, image: { x: x + off(), y: y + off() } };
      }),
      sdPx,
    );
    if (!found.ok) throw new Error(found.problem.given);
    return found.value;
  };

  test('what is drawn back falls on what was clicked; a click gives its place', () => {
    const exact = ground(2, null);
    for (const place of floor) {
      expect(inPicture(exact, place).x).toBeCloseTo(camera(place.x, place.y).x, 4);
      const { x, y } = onFloor(exact, camera(place.x, place.y));
      expect(x).toBeCloseTo(place.x, 5);
      expect(y).toBeCloseTo(place.y, 5);
    }
  });

  test('a base width is within twice its said error of the truth nineteen times of twenty', () => {
    const feet = [
      { x: 0.9, y: 0.4 },
      { x: 1.5, y: 1.1 },
    ] as const;
    const truth = Math.hypot(0.6, 0.7);
    const runs = 400;
    let inside = 0;
    for (let seed = 1; seed <= runs; seed++) {
      const random = seededRandom(9000 + seed);
      const own = ground(2, seed);
      const [a, b] = feet.map(({ x, y }) => {
        const at = camera(x, y);
        return onFloor(own, {
          x: at.x + 2 * normal(random, 0, 1),
          y: at.y + 2 * normal(random, 0, 1),
        });
      });
      if (!a || !b) throw new Error('two feet');
      const { m, sdM } = distanceOf(a, b);
      if (Math.abs(m - truth) <= 1.96 * sdM) inside++;
    }
    expect(inside / runs).toBeGreaterThanOrEqual(0.95);
  });

  test('too few places, or places in a line, are refused by name', () => {
    const known = floor.map((place) => ({ floor: place, image: camera(place.x, place.y) }));
    expect(groundOf(known.slice(0, 3), 2)).toMatchObject({
      ok: false,
      problem: { field: 'places', given: '3' },
    });
    const line = [0, 1, 2, 3].map((x) => ({ floor: { x, y: 0 }, image: { x: 100 * x, y: 50 } }));
    expect(groundOf(line, 2).ok).toBe(false);
  });
});

describe('marks as WebVTT', () => {
  test('are in order, one giving way to the next, and can hold any words', () => {
    expect(
      marksVtt([
        { atMs: 3_725_250, words: 'home' },
        { atMs: 1500, words: 'cue A' },
        { atMs: 1744.6, words: 'first <move> &\n\ngo' },
      ]),
    ).toBe(
      [
        'WEBVTT\n',
        '00:00:01.500 --> 00:00:01.745\ncue A\n',
        '00:00:01.745 --> 00:00:02.345\nfirst &lt;move&gt; &amp; go\n',
        '01:02:05.250 --> 01:02:05.850\nhome\n',
      ].join('\n'),
    );
    expect(vttTime(-3)).toBe('00:00:00.000');
  });

  test('no cue ends before it begins, whatever the times', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 500_000 }), { maxLength: 30 }), (times) => {
        const lines = marksVtt(times.map((atMs) => ({ atMs, words: 'x' })))
          .split('\n')
          .filter((line) => line.includes('-->'));
        expect(lines).toHaveLength(times.length);
        for (const line of lines) {
          const [from = '', to = ''] = line.split(' --> ');
          expect(from < to).toBe(true);
        }
      }),
    );
  });
});

test('a line of the floor is drawn as far as it lies before the camera', () => {
  const places = [
    [-2, 2],
    [2, 2],
    [2, -2],
    [-2, -2],
  ].map(([x = 0, y = 0]) => ({
    floor: { x, y },
    image: { x: 640 + (700 * x) / (6 + y), y: 300 + 2600 / (6 + y) },
  }));
  const found = groundOf(places, 2);
  if (!found.ok) throw new Error(found.problem.given);
  const seen = lineInPicture(found.value, { x: 0, y: 2 }, { x: 0, y: -20 });
  expect(seen.length).toBeGreaterThan(10);
  expect(seen.length).toBeLessThan(60);
  // Nearer is lower: behind the camera it would come back from above.
  for (const [i, { y }] of seen.entries())
    if (i > 0) expect(y).toBeGreaterThan(seen[i - 1]?.y ?? Infinity);
});
