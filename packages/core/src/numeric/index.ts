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
export { leastSquares, type FittedLine } from './line.js';
export { minimise, minimiseBetween, type Minimum } from './minimise.js';
export { erfc, logScaledErfc, normalCdf, normalQuantile } from './normal.js';
export { probabilityAtLeast } from './poisson-binomial.js';
export { medianInPlace, quartilesInPlace } from './select.js';
