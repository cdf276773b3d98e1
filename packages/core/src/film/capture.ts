import { SLOW_FACTORS, type SlowFactor } from './align.js';
import { frameRate } from './mark.js';

/** Metadata key in which phones store the capture rate, whatever rate the film plays at. */
const CAPTURE_TAG = 'com.android.capture.fps';
/** Faster rates are taken for mistakes. */
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

/**
 * How many times slowed a film is by its own tags, against how its frames follow each other; `null` where
 * it does not say, or by none of the usual factors.
 *
 * @param capturedPerS frames a second it was captured at by its tags
 * @param framesMs presentation times, ms, in order
 */
export function taggedFactor(
  capturedPerS: number | null,
  framesMs: readonly number[],
): SlowFactor | null {
  const { gapMs } = frameRate(framesMs);
  if (capturedPerS === null || gapMs === 0) return null;
  const factor = Math.round((capturedPerS * gapMs) / 1000);
  return SLOW_FACTORS.find((each) => each === factor) ?? null;
}
