import { sd } from '../numeric/index.js';

/** Typical error of one test: sd of the differences between test and retest, over √2 (Hopkins 2000). */
export const typicalError = (test: readonly number[], retest: readonly number[]): number =>
  sd(test.map((each, i) => (retest[i] ?? NaN) - each)) / Math.SQRT2;

/** Change between one test and another that the typical error alone makes once in twenty (Weir 2005). */
const MDC_Z = 1.96;
/** The change, in the error's own unit, that error alone makes 5 times in 100 (Weir 2005). */
export const minimalDetectableChange = (error: number): number => MDC_Z * Math.SQRT2 * error;

/** The smallest change worth having: a fifth of the spread between athletes (Hopkins 2000). */
export const smallestWorthwhileChange = (athletes: readonly number[]): number => 0.2 * sd(athletes);
