import { SLOW_FACTORS, type SlowFactor } from './align.js';

/** Where phones write at how many frames a second they filmed, whatever the file plays at. */
const CAPTURE_TAG = 'com.android.capture.fps';
/** No camera films faster. */
const FASTEST = 2000;

function numberIn(tag: unknown): number {
  if (typeof tag === 'string') return Number(tag);
  if (!(tag instanceof Uint8Array) || tag.byteLength !== 4) return NaN;
  return new DataView(tag.buffer, tag.byteOffset, 4).getFloat32(0);
}

/**
 * Frames a second that a film was captured at by its own tags, as text or as four raw bytes; `null`
 * where it does not say, or nothing that a camera could do.
 */
export function captureRate(tags: Readonly<Record<string, unknown>>): number | null {
  const rate = numberIn(tags[CAPTURE_TAG]);
  return rate > 0 && rate <= FASTEST ? rate : null;
}

/** How many times slowed a film is that was captured at one rate and is played at another; `null`: by none of the usual factors. */
export function slowFactor(capturedPerS: number, playedPerS: number): SlowFactor | null {
  const factor = Math.round(capturedPerS / playedPerS);
  return SLOW_FACTORS.find((each) => each === factor) ?? null;
}
