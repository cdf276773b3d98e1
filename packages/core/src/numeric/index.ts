export { betaCdf, betaQuantile, logGamma } from './beta.js';
export {
  coefficientOfVariation,
  mad,
  mean,
  median,
  quantile,
  quartiles,
  MAD_TO_SD,
  scaledMad,
  sd,
  trimmedMean,
} from './describe.js';
export { goldenSection } from './golden-section.js';
export { holm } from './holm.js';
export { hypergeometricTail } from './hypergeometric.js';
export { leastSquares, type FittedLine } from './line.js';
export { nelderMead, type Minimum } from './nelder-mead.js';
export { climb, type Slope } from './newton.js';
export { erfc, logScaledErfc, normalCdf, normalQuantile, scaledErfc } from './normal.js';
export { probabilityAtLeast } from './poisson-binomial.js';
export { medianInPlace, quartilesInPlace } from './select.js';
export { inverse, times, type Matrix } from './solve.js';
export { studentCdf, studentQuantile } from './student.js';
