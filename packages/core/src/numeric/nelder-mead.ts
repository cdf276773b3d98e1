/** Where a function is least, and how little it is there. */
export interface Minimum {
  readonly at: readonly number[];
  readonly value: number;
}

const REFLECT = 1;
const EXPAND = 2;
const CONTRACT = 0.5;
const SHRINK = 0.5;

/**
 * The point where a function of several numbers is least, near `start` (Nelder & Mead 1965, Comput.
 * J. 7). `steps` are the sizes of the first simplex; it ends when the simplex's values differ by
 * less than `tolerance`, or after `most` rounds.
 */
export function nelderMead(
  of: (point: readonly number[]) => number,
  start: readonly number[],
  steps: readonly number[],
  tolerance: number,
  most = 600,
): Minimum {
  const at = (point: readonly number[]): Minimum => ({ at: point, value: of(point) });
  let simplex = [
    at(start),
    ...start.map((_, i) => at(start.map((x, j) => (i === j ? x + (steps[i] ?? 0) : x)))),
  ];
  for (let round = 0; round < most; round++) {
    simplex.sort((a, b) => a.value - b.value);
    const best = simplex[0] as Minimum;
    const worst = simplex.at(-1) as Minimum;
    const second = simplex.at(-2) as Minimum;
    if (worst.value - best.value < tolerance) break;
    const rest = simplex.slice(0, -1);
    const centre = start.map((_, i) => {
      let sum = 0;
      for (const each of rest) sum += each.at[i] ?? NaN;
      return sum / rest.length;
    });
    const along = (factor: number) =>
      at(centre.map((c, i) => c + factor * (c - (worst.at[i] ?? NaN))));
    const reflected = along(REFLECT);
    if (reflected.value < best.value) {
      const expanded = along(EXPAND);
      simplex = [...rest, expanded.value < reflected.value ? expanded : reflected];
    } else if (reflected.value < second.value) {
      simplex = [...rest, reflected];
    } else {
      const contracted = along(reflected.value < worst.value ? CONTRACT : -CONTRACT);
      simplex =
        contracted.value < Math.min(reflected.value, worst.value)
          ? [...rest, contracted]
          : [
              best,
              ...simplex
                .slice(1)
                .map((each) => at(best.at.map((b, i) => b + SHRINK * ((each.at[i] ?? NaN) - b)))),
            ];
    }
  }
  return simplex.reduce((least, each) => (each.value < least.value ? each : least));
}
