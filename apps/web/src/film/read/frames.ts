import { VideoSampleSink, type InputVideoTrack, type VideoSample } from 'mediabunny';

/** Decoded frames kept around the current one, so that stepping need not wait for decoding from a key frame. */
const USUAL_BEFORE = 20;
const USUAL_AFTER = 40;
/** Pixels kept at the most, so that large frames do not fill the memory. */
const MOST_PIXELS = 70e6;
/** With a smaller share of the usual number every other step would wait. */
const LEAST_SHARE = 0.2;

/** How many frames to keep before and after the current one, by frame size in pixels. */
export function keptRound(framePixels: number): {
  readonly before: number;
  readonly after: number;
} {
  const room = MOST_PIXELS / (framePixels * (USUAL_BEFORE + USUAL_AFTER));
  const share = Math.min(1, Math.max(LEAST_SHARE, room));
  return { before: Math.round(share * USUAL_BEFORE), after: Math.round(share * USUAL_AFTER) };
}

type Samples = AsyncGenerator<VideoSample, void, unknown>;

/** A film's frames by index. Decoded in windows, because a single frame costs as much as all since its key frame. */
export class Frames {
  private readonly kept = new Map<number, VideoSample>();
  private readonly placeOf = new Map<number, number>();
  private readonly sink: VideoSampleSink;
  /** The running decoder, and the index of its next frame. */
  private ahead: { readonly samples: Samples; next: number } | null = null;

  constructor(
    track: InputVideoTrack,
    private readonly framesS: readonly number[],
    private readonly round: ReturnType<typeof keptRound>,
  ) {
    this.sink = new VideoSampleSink(track);
    framesS.forEach((s, i) => this.placeOf.set(micros(s), i));
  }

  /** A frame that is already decoded. */
  at(index: number): VideoSample | undefined {
    return this.kept.get(index);
  }

  /**
   * Decodes up to a frame, and drops frames far from it. Continues where decoding stopped; only a jump starts again
   * at the key frame before.
   */
  async upTo(index: number, isStillWanted: () => boolean): Promise<void> {
    const from = Math.max(0, index - this.round.before);
    for (const [place, sample] of this.kept)
      if (place < from || place > index + this.round.after) {
        sample.close();
        this.kept.delete(place);
      }
    if (this.kept.has(index)) return;
    let first = index;
    while (first > from && !this.kept.has(first - 1)) first--;
    if (this.ahead?.next !== first) {
      await this.ahead?.samples.return();
      this.ahead = { samples: this.sink.samples(this.framesS[first] ?? 0), next: first };
    }
    await this.decode(index, from, isStillWanted);
  }

  /** Decodes frames after one, so that stepping forwards need not wait. */
  async onFrom(index: number, isStillWanted: () => boolean): Promise<void> {
    await this.decode(
      Math.min(this.framesS.length - 1, index + this.round.after),
      Math.max(0, index - this.round.before),
      isStillWanted,
    );
  }

  private async decode(to: number, from: number, isStillWanted: () => boolean): Promise<void> {
    const { ahead } = this;
    while (ahead && ahead.next <= to && isStillWanted()) {
      const { done, value: sample } = await ahead.samples.next();
      if (done) return;
      const place = this.placeOf.get(micros(sample.timestamp));
      if (place === undefined || this.kept.has(place) || place < from) sample.close();
      else this.kept.set(place, sample);
      if (place !== undefined) ahead.next = place + 1;
    }
  }

  /** Frames of a range in order; the caller closes each. */
  between(from: number, to: number): Samples {
    return this.sink.samples(this.framesS[from] ?? 0, this.framesS[to + 1] ?? Infinity);
  }

  /** Single frames, for a strip; each is decoded, handed over and closed. */
  async *each(indices: readonly number[]): AsyncGenerator<VideoSample | null> {
    yield* this.sink.samplesAtTimestamps(indices.map((index) => this.framesS[index] ?? 0));
  }
}

/** Containers store times in whole microseconds, so times are compared as such. */
const micros = (s: number): number => Math.round(1e6 * s);
