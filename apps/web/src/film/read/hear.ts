import { alignCues, findTones, type Alignment, type SlowFactor } from '@orthokin/core/film';
import { AudioSampleSink, type InputAudioTrack } from 'mediabunny';

/** Tones and steps are far below half of this; a finer recording is thinned to it. */
const ENOUGH_HZ = 16_000;
/** Onsets of different tones nearer than this are one sound. */
const SAME_MS = 120;

interface Sound {
  readonly samples: Float32Array;
  readonly rateHz: number;
  /** When the first sample is heard, ms on the recording's clock. */
  readonly startMs: number;
}

/** One channel of a film's sound, thinned by means of neighbours. */
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

/** Onsets of any of some tones, ms on the recording's clock, in order. */
function onsetsOf({ samples, rateHz, startMs }: Sound, tonesHz: readonly number[]): number[] {
  const all = tonesHz.flatMap((hz) => findTones(samples, rateHz, hz)).sort((a, b) => a - b);
  return all
    .filter((ms, i) => i === 0 || ms - (all[i - 1] as number) > SAME_MS)
    .map((ms) => ms + startMs);
}

/** What was heard of a set's cues. */
export interface Heard {
  /** `null` where too few cues fall into place. */
  readonly alignment: Alignment | null;
  /** Tones that were found at all. */
  readonly tones: number;
}

/**
 * The set's cues in a film's sound. A film slowed four times sounds two octaves lower: each factor is
 * listened for, and the one in which most cues fall into place is taken.
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
