import { normal, seededRandom } from '@orthokin/core/cue';
import {
  filmedReps,
  handSway,
  USUAL_CAMERA,
  type Camera,
  type SetToFilm,
} from '@orthokin/core/film';
import {
  AudioSample,
  AudioSampleSource,
  BufferTarget,
  CanvasSource,
  Output,
  Quality,
  WebMOutputFormat,
} from 'mediabunny';
import { drawFrame, FILM_HEIGHT, FILM_WIDTH } from './draw-frame.js';

/** A camera: frames per second, slow motion, and uneven frame intervals. */
export interface SimulatedCamera {
  readonly framesPerS: number;
  readonly slowed: number;
  readonly uneven: boolean;
  /** The capture rate its files claim; may be absent or wrong. */
  readonly saysPerS?: number;
  /** Pixels the picture jumps by in mid-film, when somebody bumps into the camera. */
  readonly knockedPx?: number;
  /** Its position; default if absent. */
  readonly stands?: Camera;
  /** A hand-held camera sways by this share of the picture's width. */
  readonly sways?: number;
}

/** A set to film, with the camera. */
export interface FilmOrder {
  readonly set: SetToFilm;
  /** The tone of each cue, Hz, in order. */
  readonly tonesHz: readonly number[];
  readonly camera: SimulatedCamera;
}

export type FilmMade =
  { readonly share: number } | { readonly film: Blob } | { readonly failed: string };

const BEFORE_MS = 1500;
const AFTER_MS = 3500;
const RATE_HZ = 48_000;
const TONE_S = 0.14;
const NOISE = 0.01;
const CHUNK_S = 1;
/** The most a phone delays a frame, as a share of the interval. */
const MOST_LATE = 0.7;

/** A second of sound: the cues' tones in a quiet room. Slow motion makes tones longer and lower. */
function soundOf(
  { set, tonesHz, camera }: FilmOrder,
  fromMs: number,
  startS: number,
): Float32Array {
  const { slowed } = camera;
  const random = seededRandom(Math.round(1000 * startS) + 1);
  const samples = Float32Array.from({ length: CHUNK_S * RATE_HZ }, () => normal(random, 0, NOISE));
  set.cues.forEach(({ atMs }, i) => {
    const cueS = (slowed * (atMs - fromMs)) / 1000 - startS;
    const hz = (tonesHz[i] ?? 0) / slowed;
    const first = Math.max(0, Math.ceil(cueS * RATE_HZ));
    const last = Math.min(samples.length, Math.ceil((cueS + slowed * TONE_S) * RATE_HZ));
    for (let n = first; n < last; n++)
      samples[n] = (samples[n] ?? 0) + 0.4 * Math.sin(2 * Math.PI * hz * (n / RATE_HZ - cueS));
  });
  return samples;
}

async function make(order: FilmOrder): Promise<Blob> {
  const { set, camera } = order;
  const { framesPerS, slowed, uneven } = camera;
  const random = seededRandom(set.seed + 1);
  const reps = filmedReps(set);
  const fromMs = (set.cues[0]?.atMs ?? 0) - BEFORE_MS;
  const lengthS = ((set.cues.at(-1)?.atMs ?? 0) + AFTER_MS - fromMs) / 1000;
  const canvas = new OffscreenCanvas(FILM_WIDTH, FILM_HEIGHT);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no drawing');
  const target = new BufferTarget();
  const output = new Output({ format: new WebMOutputFormat(), target });
  const picture = new CanvasSource(canvas, { codec: 'vp8', quality: new Quality('medium') });
  const sound = new AudioSampleSource({ codec: 'opus', quality: new Quality('medium') });
  output.addVideoTrack(picture);
  output.addAudioTrack(sound);
  if (camera.saysPerS !== undefined)
    output.setMetadataTags({ raw: { 'com.android.capture.fps': String(camera.saysPerS) } });
  await output.start();
  const frames = Math.ceil(lengthS * framesPerS);
  let heardS = 0;
  for (let frame = 0; frame < frames; frame++) {
    const late = uneven ? MOST_LATE * random() : 0;
    const filmedS = (frame + late) / framesPerS;
    const atS = slowed * filmedS;
    while (atS >= heardS) {
      const second = new AudioSample({
        ...{ format: 'f32', sampleRate: RATE_HZ, numberOfChannels: 1 },
        data: soundOf(order, fromMs, heardS),
        timestamp: heardS,
      });
      await sound.add(second);
      second.close();
      heardS += CHUNK_S;
    }
    const knocked = frame > frames / 2 ? (camera.knockedPx ?? 0) : 0;
    const sway = handSway(1000 * filmedS, camera.sways ?? 0, set.seed);
    drawFrame(context, set, reps, fromMs + 1000 * filmedS, {
      from: camera.stands ?? USUAL_CAMERA,
      asidePx: { x: knocked + FILM_WIDTH * sway.x, y: FILM_WIDTH * sway.y },
    });
    await picture.add(atS, slowed / framesPerS);
    if (frame % framesPerS === 0) self.postMessage({ share: frame / frames } satisfies FilmMade);
  }
  await output.finalize();
  return new Blob([target.buffer ?? new ArrayBuffer(0)], { type: 'video/webm' });
}

self.onmessage = ({ data }: MessageEvent<FilmOrder>): void => {
  void make(data).then(
    (film) => self.postMessage({ film } satisfies FilmMade),
    (error: unknown) =>
      self.postMessage({
        failed: error instanceof Error ? error.message : String(error),
      } satisfies FilmMade),
  );
};
