import { alignCues, findTones, type Alignment, type SlowFactor } from '@orthokin/core/film';
import { AudioSampleSink, type InputAudioTrack } from 'mediabunny';

/** Tones are far below half of this rate; finer recordings are reduced to it. */
const ENOUGH_HZ = 16_000;
/** Onsets of different tones closer than this are one sound. */
const SAME_MS = 120;

interface Sound {
  readonly samples: Float32Array;
  readonly rateHz: number;
  /** Time of the first sample, ms on the recording's clock. */
  readonly startMs: number;
}

/** One channel of a film's sound; samples are averaged to reduce the rate. */
async function soundOf(track: InputAudioTrack, tell: (share: number) => void): Promise<Sound> {
  const lengthS = await track.computeDuration();
  const pieces: Float32Array[] = [];
  let [rateHz, startMs, total] = [0, 0, 0];
  for await (const sample of new AudioSampleSink(track).samples()) {
    if (pieces.length === 0) {
      rateHz = sample.sampleRate;
      startMs = 1000 * sample.timestamp;
    }
    const piece = new Float32Array(sample.numberOfFrames);
    sample.copyTo(piece, { planeIndex: 0, format: 'f32-planar' });
    pieces.push(piece);
    total += piece.length;
    tell(Math.min(1, sample.timestamp / lengthS));
    sample.close();
  }
  const by = Math.max(1, Math.floor(rateHz / ENOUGH_HZ));
  const samples = new Float32Array(Math.floor(total / by));
  let n = 0;
  for (const piece of pieces)
    for (const value of piece) {
      const place = Math.floor(n++ / by);
      if (place < samples.length) samples[place] = (samples[place] ?? 0) + value / by;
    }
  return { samples, rateHz: rateHz / by, startMs };
}

/** Onsets of any of the tones, ms on the recording's clock, in order. */
function onsetsOf({ samples, rateHz, startMs }: Sound, tonesHz: readonly number[]): number[] {
  const all = tonesHz.flatMap((hz) => findTones(samples, rateHz, hz)).sort((a, b) => a - b);
  return all
    .filter((ms, i) => i === 0 || ms - (all[i - 1] as number) > SAME_MS)
    .map((ms) => ms + startMs);
}

/** The cues found in a film's sound. */
export interface Heard {
  /** `null` if too few onsets match the cues. */
  readonly alignment: Alignment | null;
  /** The number of onsets found. */
  readonly tones: number;
}

/**
 * Finds a set's cues in a film's sound. Slow motion by four lowers tones by two octaves; each factor is tried, and
 * the one with the most matching cues is taken.
 */
export async function hear(
  track: InputAudioTrack,
  plannedMs: readonly number[],
  tonesHz: readonly number[],
  factors: readonly SlowFactor[],
  tell: (share: number) => void,
): Promise<Heard> {
  const sound = await soundOf(track, (share) => tell(share / 2));
  let best: Heard = { alignment: null, tones: 0 };
  for (const [i, factor] of factors.entries()) {
    const onsets = onsetsOf(
      sound,
      tonesHz.map((hz) => hz / factor),
    );
    const found = alignCues(plannedMs, onsets, [factor]);
    const alignment = found.ok ? found.value : null;
    if ((alignment?.heard.size ?? 0) > (best.alignment?.heard.size ?? 0))
      best = { alignment, tones: onsets.length };
    else if (!best.alignment)
      best = { alignment: null, tones: Math.max(best.tones, onsets.length) };
    tell((1 + (i + 1) / factors.length) / 2);
  }
  return best;
}
