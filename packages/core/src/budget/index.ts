export { fitTravel, type TravelFit, type TravelPair } from './fit-travel.js';
export { flightOf, flownMetres, type Bounce, type Flight, type FlightPlan } from './flight.js';
export {
  AIR_DENSITY,
  fromMetresPerSecond,
  PROJECTILES,
  SPEED_UNITS,
  toMetresPerSecond,
  type Projectile,
  type SpeedUnit,
} from './projectile.js';
export {
  BUDGETED,
  budgetSource,
  ownSpeedOf,
  targetBudget,
  targetLimits,
  tightestBudget,
  type Budgeted,
  type OwnSpeed,
  type Rally,
  type TargetBudget,
} from './rally.js';
export { flightPlaces, reachRings, type ReachRing } from './reach.js';
export { limitFrom, recordOf } from './threshold.js';
export {
  feasibility,
  recoveryBudget,
  SPARE_STANCES,
  stanceFor,
  USUAL_STANCE_LIMITS,
  type Feasibility,
  type RecoveryBudget,
  type SpareStance,
  type StanceLimits,
} from './time.js';
export {
  distanceCovered,
  distanceReached,
  timeToCover,
  travelTime,
  type TravelModel,
} from './travel.js';
export { cornersOf, placeAlong, wayTo, type Coming } from './way.js';
