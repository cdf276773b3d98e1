export {
  coefficientOfVariation,
  mad,
  mean,
  median,
  quantile,
  quartiles,
  scaledMad,
  sd,
  trimmedMean,
} from './describe.js';
export { summariseSet, type DurationSummary, type LeftOut, type SetSummary } from './summary.js';
export { theilSen, type Line } from './theil-sen.js';
export { hodgesLehmannShift, mannWhitney, type MannWhitney } from './two-samples.js';
