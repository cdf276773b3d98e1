import { median, quantile } from '../numeric/index.js';

/** The long window tells a tone from noise, the short one says when it began. */
const LONG_S = 0.03;
const SHORT_S = 0.006;
/** Amplitudes are looked at so often. */
const HOP_S = 0.001;
/** A band beside the tone that must be quieter: speech and steps fill both. */
const GUARD_SHARE = 1.19;
/** Silence of a file, so that a floor is never nothing. */
const LEAST_LEVEL = 1e-5;
const OVER_FLOOR = 6;
const OVER_GUARD = 2.5;
/** Two tones are never nearer than this, ms. */
const APART_MS = 350;
/** A tone lasts; a click does not. */
const LEAST_MS = 45;
/** The direct sound's level is that of the first moments: a hall only adds later. */
const DIRECT_MS = 9;
const ONSET_SHARE = 0.5;
const BEFORE_MS = 45;
const LOUD_SHARE = 0.25;
/** Of the levels found: half of them may be a hall's. */
const LOUD_QUANTILE = 0.75;
const RINGING_SHARE = 0.35;
const QUIET_BEFORE_MS = 8;
const QUIET_SHARE = 0.4;

/** Amplitude at a frequency in a centred window, each hop: two sums of a quadrature filter. */
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
  // Sums up to each sample, kept round a ring as long as the window.
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
      // What rounding adds to a turning pointer is taken off now and then.
      const size = Math.hypot(cos, sin);
      cos /= size;
      sin /= size;
    }
  }
  return out;
}

/** The same at a single hop: for the few places that are looked at closely. */
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

/** Amplitude in the short window at a hop, worked out where it is asked for. */
type Short = (hop: number) => number;

const most = (short: Short, from: number, count: number): number =>
  Math.max(...Array.from({ length: count }, (_, i) => short(from + i)));

/** Where a tone that is heard at a hop began: half of its direct sound is in a window centred there. */
function onsetAt(short: Short, hop: number, floor: number): number | null {
  const from = Math.max(0, hop - BEFORE_MS);
  // Noise jumps over its own floor now and then, but not to a share of the tone's height.
  const loud = Math.max(3 * floor, LOUD_SHARE * most(short, hop, LEAST_MS));
  for (let at = from; at < hop + BEFORE_MS; at++) {
    if (short(at) < loud) continue;
    // Loud from the start: the tail of the tone before, in a hall.
    if (at === from && from > 0) return null;
    const level = ONSET_SHARE * most(short, at, DIRECT_MS);
    for (let k = at; k < at + DIRECT_MS; k++) {
      const [before, now] = [short(k - 1), short(k)];
      if (now < level) continue;
      // A tone begins out of quiet; a ringing hall only swells.
      if (short(k - QUIET_BEFORE_MS) > (QUIET_SHARE / ONSET_SHARE) * level) return null;
      return before >= level ? k : k - 1 + (level - before) / (now - before);
    }
  }
  return null;
}

/** Enough hops for a median. */
const ENOUGH = 4000;

/** The middle of an amplitude over the whole recording: what is there without a tone. */
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
  // One speaker plays them all about as loud; what is far below is a hall that rings on.
  const usual = quantile(
    heard.map(({ level }) => level),
    LOUD_QUANTILE,
  );
  return heard
    .filter(({ level }) => level >= RINGING_SHARE * usual)
    .map(({ onset }) => onset * hopMs);
}
