/** Median, p95, p99 and most of some measurements, as a line. */
export function figures(what: string, values: readonly number[], unit = 'ms'): string {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (share: number) =>
    (sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN).toFixed(2);
  return `${what}: n ${sorted.length}, median ${at(0.5)} ${unit}, p95 ${at(0.95)} ${unit}, p99 ${at(0.99)} ${unit}, most ${at(1)} ${unit}`;
}
