import { VideoSampleSink, type InputVideoTrack, type VideoSample } from 'mediabunny';

/** Frames kept decoded round the one on the screen: stepping must not wait for a key frame. */
const BEFORE = 20;
const AFTER = 40;

/** Frames of a film by their place, decoded in windows: one alone costs as much as its key frame's. */
export class Frames {
  private readonly kept = new Map<number, VideoSample>();
  private readonly placeOf = new Map<number, number>();
  private readonly sink: VideoSampleSink;

  constructor(
    track: InputVideoTrack,
    private readonly framesS: readonly number[],
  ) {
    this.sink = new VideoSampleSink(track);
    framesS.forEach((s, i) => this.placeOf.set(micros(s), i));
  }

  /** A frame that is decoded already. */
  at(index: number): VideoSample | undefined {
    return this.kept.get(index);
  }

  /** Decodes what is missing round a frame, and lets go of what is far from it. */
  async around(index: number, isStillWanted: () => boolean): Promise<void> {
    const from = Math.max(0, index - BEFORE);
    const to = Math.min(this.framesS.length - 1, index + AFTER);
    for (const [place, sample] of this.kept)
      if (place < from || place > to) {
        sample.close();
        this.kept.delete(place);
      }
    let first = index;
    while (first > from && !this.kept.has(first - 1)) first--;
    if (this.kept.has(index)) return;
    const [start, end] = [this.framesS[first] ?? 0, this.framesS[to + 1] ?? Infinity];
    for await (const sample of this.sink.samples(start, end)) {
      const place = this.placeOf.get(micros(sample.timestamp));
      if (place === undefined || this.kept.has(place) || place < from || place > to) sample.close();
      else this.kept.set(place, sample);
      if (!isStillWanted()) break;
    }
  }

  /** Frames of a stretch in order, each to be let go by whoever takes it. */
  between(from: number, to: number): AsyncGenerator<VideoSample, void, unknown> {
    return this.sink.samples(this.framesS[from] ?? 0, this.framesS[to + 1] ?? Infinity);
  }

  /** Single frames, for a strip: each decoded, given and let go. */
  async *each(indices: readonly number[]): AsyncGenerator<VideoSample | null> {
    yield* this.sink.samplesAtTimestamps(indices.map((index) => this.framesS[index] ?? 0));
  }
}

/** Times are compared in whole microseconds: that is what containers keep. */
const micros = (s: number): number => Math.round(1e6 * s);
