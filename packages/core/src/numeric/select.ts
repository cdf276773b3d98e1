/**
 * The k-th smallest (from 0) of values, which are put into another order on the way (Hoare 1961);
 * it is looked for between two places that are known to hold it.
 */
function select(values: Float64Array, k: number, from = 0, to = values.length - 1): number {
  let [left, right] = [from, to];
  while (left < right) {
    const pivot = values[(left + right) >> 1] as number;
    let [i, j] = [left, right];
    while (i <= j) {
      while ((values[i] as number) < pivot) i++;
      while ((values[j] as number) > pivot) j--;
      if (i > j) break;
      const held = values[i] as number;
      values[i] = values[j] as number;
      values[j] = held;
      i++;
      j--;
    }
    if (k <= j) right = j;
    else if (k >= i) left = i;
    else break;
  }
  return values[k] as number;
}

/** Quantile of type 7 (Hyndman & Fan 1996), looked for between two places known to hold it. */
function quantileBetween(values: Float64Array, p: number, from: number, to: number): number {
  const position = (values.length - 1) * p;
  const k = Math.floor(position);
  const below = select(values, k, from, to);
  if (position === k) return below;
  let above = Infinity;
  for (let i = k + 1; i <= to; i++) above = Math.min(above, values[i] as number);
  return below + (above - below) * (position - k);
}

/** Median of values that may be put into another order: many times faster than sorting them. NaN of nothing. */
export const medianInPlace = (values: Float64Array): number =>
  values.length === 0 ? NaN : quantileBetween(values, 0.5, 0, values.length - 1);

/** Lower quartile, median and upper quartile of values that may be put into another order. */
export function quartilesInPlace(values: Float64Array): readonly [number, number, number] {
  const n = values.length;
  if (n === 0) return [NaN, NaN, NaN];
  const median = medianInPlace(values);
  // With the median found, each half holds its own quartile.
  const middle = Math.floor((n - 1) / 2);
  return [
    quantileBetween(values, 0.25, 0, Math.min(n - 1, middle + 1)),
    median,
    quantileBetween(values, 0.75, middle, n - 1),
  ];
}
