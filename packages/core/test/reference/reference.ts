import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const folder = process.env['REFERENCE_DIR'] ?? join(__dirname, '../../reference');

/** A file of values computed elsewhere, from `REFERENCE_DIR` when that is set. */
export const reference = (name: string): unknown =>
  JSON.parse(readFileSync(join(folder, `${name}.json`), 'utf8'));

/** Fails unless `actual` is within a relative tolerance of `expected`. */
export function expectClose(actual: number, expected: number, relativeTolerance: number): void {
  // Reference values are printed with nine digits: that rounding is not the code's error.
  const printed = 5.1e-9 * Math.abs(expected);
  const allowed = Math.abs(expected) * relativeTolerance + printed;
  expect(Math.abs(actual - expected)).toBeLessThanOrEqual(allowed + 1e-12);
}
