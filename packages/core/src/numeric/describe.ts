/** Values in ascending order, sorted as numbers many times faster than by a comparison. */
const ascending = (values: readonly number[]): Float64Array => Float64Array.from(values).sort();

function quantileOfSorted(sorted: Float64Array, p: number): number {
  const position = (sorted.length - 1) * p;
  const below = sorted[Math.floor(position)] ?? NaN;
  const above = sorted[Math.ceil(position)] ?? NaN;
  return below + (above - below) * (position - Math.floor(position));
}

/** Quantile of type 7 (Hyndman & Fan 1996), 0 ≤ p ≤ 1, in the values' unit; NaN of nothing. */
export const quantile = (values: readonly number[], p: number): number =>
  quantileOfSorted(ascending(values), p);

/** The middle value; NaN of nothing. */
export const median = (values: readonly number[]): number => quantile(values, 0.5);

/**
 * Lower quartile, median and upper quartile, sorting once.
 *
 * @example
 * quartiles([1, 2, 3, 4, 5]); // [2, 3, 4]
 */
export function quartiles(values: readonly number[]): readonly [number, number, number] {
  const sorted = ascending(values);
  return [0.25, 0.5, 0.75].map((p) => quantileOfSorted(sorted, p)) as [number, number, number];
}

/** Median absolute deviation from the median. */
export function mad(values: readonly number[]): number {
  const centre = median(values);
  return median(values.map((value) => Math.abs(value - centre)));
}

/** 1/Φ⁻¹(¾): makes the MAD of normal data estimate its standard deviation. */
export const MAD_TO_SD = 1.4826022185056018;

/** Median absolute deviation, scaled to the sd of a normal. */
export const scaledMad = (values: readonly number[]): number => MAD_TO_SD * mad(values);

/** Arithmetic mean; NaN of nothing. */
export const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** Sample standard deviation (n − 1). */
export function sd(values: readonly number[]): number {
  const centre = mean(values);
  const squares = values.reduce((sum, value) => sum + (value - centre) ** 2, 0);
  return Math.sqrt(squares / (values.length - 1));
}

/** Coefficient of variation, sd / mean. */
export const coefficientOfVariation = (values: readonly number[]): number =>
  sd(values) / mean(values);

/**
 * Mean of what is left when floor(share · n) values are cut from each end.
 *
 * @example
 * trimmedMean([1, 2, 3, 4, 100], 0.2); // 3
 */
export function trimmedMean(values: readonly number[], share: number): number {
  const cut = Math.floor(share * values.length);
  return mean([...ascending(values).slice(cut, values.length - cut)]);
}
