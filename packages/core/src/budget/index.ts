export { aimedArc, type Aim, type AimedArc, type Lift } from './aim.js';
export {
  arcOf,
  arcPlaces,
  type Arc,
  type ArcPlace,
  type ArcPlan,
  type FloorBounce,
} from './arc.js';
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
export { bestHome, type BestHome } from './best-home.js';
export {
  BUDGETED,
  budgetSource,
  lineLimits,
  targetLimits,
  type Budgeted,
} from './budget-limits.js';
export { ownFeasibility, ownSpeedOf, ownWay, type OwnSpeed, type TimedWays } from './own-speed.js';
export {
  comingTo,
  takenAt,
  targetBudget,
  tightestBudget,
  type Rally,
  type Taken,
  type TargetBudget,
} from './rally.js';
export { drawnFlight, reachRings, type DrawnFlight, type ReachRing } from './reach.js';
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
export { PLAYING_LEVELS, typicalSpeeds, type PlayingLevel } from './typical-speeds.js';
export { cornersOf, placeAlong, wayTo, type Coming, type Way } from './way.js';
