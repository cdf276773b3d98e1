/** A square matrix by rows. */
export type Matrix = readonly (readonly number[])[];

/** Smaller pivots, beside the largest value of the matrix, mean that it has no inverse. */
const SMALLEST_PIVOT = 1e-13;

/**
 * The inverse of a square matrix, by elimination with the largest pivot first; `null` where there is
 * none.
 */
export function inverse(matrix: Matrix): number[][] | null {
  const n = matrix.length;
  const rows = matrix.map((row, i) => [...row, ...row.map((_, j) => (i === j ? 1 : 0))]);
  const largest = Math.max(...matrix.flat().map(Math.abs));
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let row = column + 1; row < n; row++)
      if (Math.abs(at(rows, row, column)) > Math.abs(at(rows, pivot, column))) pivot = row;
    if (!(Math.abs(at(rows, pivot, column)) > SMALLEST_PIVOT * largest)) return null;
    [rows[column], rows[pivot]] = [rows[pivot] as number[], rows[column] as number[]];
    const lead = rows[column] as number[];
    const by = lead[column] as number;
    for (let k = 0; k < 2 * n; k++) lead[k] = (lead[k] as number) / by;
    for (const row of rows) {
      if (row === lead) continue;
      const times = row[column] as number;
      for (let k = 0; k < 2 * n; k++) row[k] = (row[k] as number) - times * (lead[k] as number);
    }
  }
  return rows.map((row) => row.slice(n));
}

const at = (rows: Matrix, row: number, column: number): number => rows[row]?.[column] ?? 0;

/** A matrix times a column. */
export const times = (matrix: Matrix, column: readonly number[]): number[] =>
  matrix.map((row) => row.reduce((sum, value, i) => sum + value * (column[i] ?? 0), 0));
