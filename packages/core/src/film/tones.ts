import { median, quantile } from '../numeric/index.js';

/** A long window separates tones from noise; a short one locates their onsets. */
const LONG_S = 0.03;
const SHORT_S = 0.006;
/** Interval at which amplitudes are computed. */
const HOP_S = 0.001;
/** A neighbouring frequency that must be quieter than the tone: speech and steps contain both. */
const GUARD_SHARE = 1.19;
/** A floor for the noise level, because files may be silent. */
const LEAST_LEVEL = 1e-5;
const OVER_FLOOR = 6;
const OVER_GUARD = 2.5;
/** The least time between two tones, ms. */
const APART_MS = 350;
/** Tones last at least this long, ms; clicks do not. */
const LEAST_MS = 45;
/** The direct sound's level is measured in this time; after that a hall adds reflections. */
const DIRECT_MS = 9;
const ONSET_SHARE = 0.5;
const BEFORE_MS = 45;
const LOUD_SHARE = 0.25;
/** The quantile used as the usual level, since half of the levels may be reflections. */
const LOUD_QUANTILE = 0.75;
const RINGING_SHARE = 0.35;
const QUIET_BEFORE_MS = 8;
const QUIET_SHARE = 0.4;

/** Amplitude at a frequency in a centred window, for each hop (quadrature filter). */
function amplitudes(
  samples: Float32Array,
  rateHz: number,
  hz: number,
  windowS: number,
): Float32Array {
  const hop = Math.max(1, Math.round(HOP_S * rateHz));
  const half = Math.max(1, Math.round((windowS * rateHz) / 2));
  const turn = (2 * Math.PI * hz) / rateHz;
  const count = Math.floor(samples.length / hop);
  const out = new Float32Array(count);
  const length = 2 * half;
  // Running sums over a window, kept in ring buffers.
  const ring = { i: new Float64Array(length), q: new Float64Array(length) };
  const [stepCos, stepSin] = [Math.cos(turn), Math.sin(turn)];
  let [cos, sin, sumI, sumQ] = [1, 0, 0, 0];
  for (let n = 0; n < samples.length + half; n++) {
    const sample = samples[n] ?? 0;
    const place = n % length;
    const [i, q] = [sample * cos, sample * sin];
    sumI += i - (ring.i[place] as number);
    sumQ += q - (ring.q[place] as number);
    ring.i[place] = i;
    ring.q[place] = q;
    const nextCos = cos * stepCos - sin * stepSin;
    sin = sin * stepCos + cos * stepSin;
    cos = nextCos;
    const middle = n - half + 1;
    if (middle >= 0 && middle % hop === 0 && middle / hop < count)
      out[middle / hop] = (2 * Math.hypot(sumI, sumQ)) / length;
    if (place === 0) {
      // Renormalises the rotating phasor, which accumulates rounding errors.
      const size = Math.hypot(cos, sin);
      cos /= size;
      sin /= size;
    }
  }
  return out;
}

/** The amplitude at a single hop, for the few places examined closely. */
function amplitudeAt(
  samples: Float32Array,
  rateHz: number,
  hz: number,
  windowS: number,
  hop: number,
): number {
  const middle = hop * Math.max(1, Math.round(HOP_S * rateHz));
  const half = Math.max(1, Math.round((windowS * rateHz) / 2));
  const turn = (2 * Math.PI * hz) / rateHz;
  let [sumI, sumQ] = [0, 0];
  for (let n = middle - half; n < middle + half; n++) {
    const sample = samples[n] ?? 0;
    sumI += sample * Math.cos(turn * n);
    sumQ += sample * Math.sin(turn * n);
  }
  return Math.hypot(sumI, sumQ) / half;
}

/** Amplitude in the short window at a hop, computed on demand. */
type Short = (hop: number) => number;

const most = (short: Short, from: number, count: number): number =>
  Math.max(...Array.from({ length: count }, (_, i) => short(from + i)));

/** The onset of a tone found at a hop: where half of its direct level is reached in a centred window. */
function onsetAt(short: Short, hop: number, floor: number): number | null {
  const from = Math.max(0, hop - BEFORE_MS);
  // Noise exceeds its own level now and then, but not by a share of the tone's.
  const loud = Math.max(3 * floor, LOUD_SHARE * most(short, hop, LEAST_MS));
  for (let at = from; at < hop + BEFORE_MS; at++) {
    if (short(at) < loud) continue;
    // Loud from the start: reverberation of the previous tone.
    if (at === from && from > 0) return null;
    const level = ONSET_SHARE * most(short, at, DIRECT_MS);
    for (let k = at; k < at + DIRECT_MS; k++) {
      const [before, now] = [short(k - 1), short(k)];
      if (now < level) continue;
      // A tone begins out of silence, while reverberation only swells.
      if (short(k - QUIET_BEFORE_MS) > (QUIET_SHARE / ONSET_SHARE) * level) return null;
      return before >= level ? k : k - 1 + (level - before) / (now - before);
    }
  }
  return null;
}

/** Enough hops for a median. */
const ENOUGH = 4000;

/** The median amplitude over the recording: the level without tones. */
const floorOf = (hops: number, amplitude: Short, least: number): number => {
  const step = Math.max(1, Math.floor(hops / ENOUGH));
  const some = Array.from({ length: Math.floor(hops / step) }, (_, i) => amplitude(i * step));
  return Math.max(least, some.length > 0 ? median(some) : 0);
};

/**
 * When tones of a frequency begin in a recording, ms from its first sample. The onset is walked back
 * to on a short window; the steepest step of energy would be late in a hall.
 *
 * @param samples one channel, −1 to 1
 * @param hz the tone's frequency
 */
export function findTones(samples: Float32Array, rateHz: number, hz: number): number[] {
  const long = amplitudes(samples, rateHz, hz, LONG_S);
  const known = new Map<number, number>();
  const short: Short = (hop) => {
    const found = known.get(hop) ?? amplitudeAt(samples, rateHz, hz, SHORT_S, hop);
    known.set(hop, found);
    return found;
  };
  const floor = floorOf(long.length, (hop) => long[hop] ?? 0, LEAST_LEVEL);
  const shortFloor = floorOf(long.length, short, 2 * LEAST_LEVEL);
  const isTone = (hop: number) => {
    const level = long[hop] ?? 0;
    return (
      level > OVER_FLOOR * floor &&
      [hz / GUARD_SHARE, hz * GUARD_SHARE].every(
        (guard) => level > OVER_GUARD * amplitudeAt(samples, rateHz, guard, LONG_S, hop),
      )
    );
  };
  const heard: { readonly onset: number; readonly level: number }[] = [];
  for (let hop = 0; hop < long.length; hop++) {
    if (!isTone(hop)) continue;
    let end = hop;
    while (end < long.length && isTone(end)) end++;
    const onset = end - hop >= LEAST_MS ? onsetAt(short, hop, shortFloor) : null;
    const last = heard.at(-1)?.onset;
    if (onset !== null && (last === undefined || onset - last > APART_MS))
      heard.push({ onset, level: Math.max(...long.subarray(hop, hop + LEAST_MS)) });
    hop = end;
  }
  const hopMs = (1000 * Math.max(1, Math.round(HOP_S * rateHz))) / rateHz;
  // A loudspeaker plays all cues about equally loud; much quieter ones are reverberation.
  const usual = quantile(
    heard.map(({ level }) => level),
    LOUD_QUANTILE,
  );
  return heard
    .filter(({ level }) => level >= RINGING_SHARE * usual)
    .map(({ onset }) => onset * hopMs);
}
