/** A function at a point: its value, gradient and matrix of second derivatives. */
export interface Slope {
  readonly value: number;
  readonly gradient: readonly number[];
  readonly hessian: readonly (readonly number[])[];
}

/** The solution of m·x = b by elimination with pivots; `null` where there is none. */
function solve(m: readonly (readonly number[])[], b: readonly number[]): number[] | null {
  const n = b.length;
  const rows = m.map((row, i) => [...row, b[i] ?? NaN]);
  for (let k = 0; k < n; k++) {
    const pivot = rows.slice(k).reduce(
      (best, row, i) => {
        const size = Math.abs(row[k] ?? 0);
        return size > best.size ? { size, at: k + i } : best;
      },
      { size: 0, at: -1 },
    ).at;
    const [top, other] = [rows[k], rows[pivot]];
    if (!top || !other) return null;
    [rows[k], rows[pivot]] = [other, top];
    for (const row of rows.slice(k + 1)) {
      const factor = (row[k] ?? NaN) / (other[k] ?? NaN);
      for (let j = k; j <= n; j++) row[j] = (row[j] ?? NaN) - factor * (other[j] ?? NaN);
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let k = n - 1; k >= 0; k--) {
    const row = rows[k] ?? [];
    let rest = row[n] ?? NaN;
    for (let j = k + 1; j < n; j++) rest -= (row[j] ?? NaN) * (x[j] ?? NaN);
    x[k] = rest / (row[k] ?? NaN);
  }
  return x.every(Number.isFinite) ? x : null;
}

const MOST_ROUNDS = 60;
const FIRST_DAMPING = 1e-3;
/** Steps so short that none climbs: this is the top, to the last digits. */
const MOST_DAMPING = 1e4;

/**
 * The point near `start` where a smooth function is greatest, by Newton's steps damped until each
 * one climbs (Levenberg 1944, Marquardt 1963). No coordinate goes under `least`. It ends when a step
 * gains less than `tolerance`.
 */
export function climb(
  of: (point: readonly number[]) => Slope,
  start: readonly number[],
  least: readonly number[],
  tolerance: number,
): { readonly at: readonly number[]; readonly slope: Slope } {
  const within = (point: readonly number[]) =>
    point.map((x, i) => Math.max(least[i] ?? -Infinity, x));
  let at = within(start);
  let slope = of(at);
  let damping = FIRST_DAMPING;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const { gradient, hessian } = slope;
    // A coordinate at its least that would go lower stays: the others are climbed without it.
    const free = at.map((x, i) => x > (least[i] ?? -Infinity) || (gradient[i] ?? 0) > 0);
    let next: { at: number[]; slope: Slope } | null = null;
    while (damping < MOST_DAMPING) {
      const damped = hessian.map((row, i) =>
        row.map((h, j) => {
          if (i !== j) return free[i] && free[j] ? -h : 0;
          return free[i] ? -h + damping * Math.max(Math.abs(h), 1e-9) : 1;
        }),
      );
      const step = solve(
        damped,
        gradient.map((g, i) => (free[i] ? g : 0)),
      );
      const tried = step && within(at.map((x, i) => x + (step[i] ?? 0)));
      const found = tried && of(tried);
      if (tried && found && found.value >= slope.value) {
        next = { at: tried, slope: found };
        damping = Math.max(1e-12, damping / 10);
        break;
      }
      damping *= 10;
    }
    if (!next) break;
    const gained = next.slope.value - slope.value;
    [at, slope] = [next.at, next.slope];
    if (gained < tolerance) break;
  }
  return { at, slope };
}
