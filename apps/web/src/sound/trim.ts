/** A sound begins where it first comes within this share of its loudest. */
const ONSET_SHARE = 0.08;
/** Kept before the onset, so that a soft beginning is not cut, s. */
const BEFORE_S = 0.005;
/** Kept after the last loud moment, s. */
const AFTER_S = 0.06;
/** Quieter than this at its loudest, and nothing was said. */
const LEAST_PEAK = 0.01;
/** What the loudest moment is raised or lowered to. */
const PEAK = 0.8;

/**
 * A recorded word without the silence round it, as loud as the others: what is planned for a
 * moment must begin at that moment. `null` when nothing is heard.
 */
export function trimmed(samples: Float32Array, rateHz: number): Float32Array | null {
  const peak = samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0);
  if (peak < LEAST_PEAK) return null;
  const isLoud = (sample: number) => Math.abs(sample) >= ONSET_SHARE * peak;
  const from = Math.max(0, samples.findIndex(isLoud) - Math.round(BEFORE_S * rateHz));
  const to = samples.findLastIndex(isLoud) + 1 + Math.round(AFTER_S * rateHz);
  return samples.slice(from, to).map((sample) => (sample * PEAK) / peak);
}
