/** A sound's onset is where it first reaches this share of its peak. */
const ONSET_SHARE = 0.08;
/** Kept before the onset, so that a soft beginning is not cut off, s. */
const BEFORE_S = 0.005;
/** Kept after the last loud moment, s. */
const AFTER_S = 0.06;
/** With a lower peak nothing was said. */
const LEAST_PEAK = 0.01;
/** The peak that recordings are normalised to. */
const PEAK = 0.8;

/**
 * A recorded word without surrounding silence, at normal volume, so that it is heard at the moment it is scheduled
 * for. `null` if nothing was said.
 */
export function trimmed(samples: Float32Array, rateHz: number): Float32Array | null {
  const peak = samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0);
  if (peak < LEAST_PEAK) return null;
  const isLoud = (sample: number) => Math.abs(sample) >= ONSET_SHARE * peak;
  const from = Math.max(0, samples.findIndex(isLoud) - Math.round(BEFORE_S * rateHz));
  const to = samples.findLastIndex(isLoud) + 1 + Math.round(AFTER_S * rateHz);
  return samples.slice(from, to).map((sample) => (sample * PEAK) / peak);
}
