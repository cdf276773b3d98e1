export { erfc, normalCdf } from './normal.js';
export { probabilityAtLeast } from './poisson-binomial.js';
