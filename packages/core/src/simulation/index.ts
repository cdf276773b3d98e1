export { TYPICAL_ATHLETE, type SimulatedAthlete } from './athlete.js';
export { formOn } from './form.js';
export { positionAt } from './position.js';
export { effortFactor, simulateRep, type SimulatedCue, type SimulatedRep } from './rep.js';
export { simulateTrial, type SimulatedTrial } from './trial.js';
