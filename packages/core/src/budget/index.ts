export { fitTravel, type TravelFit, type TravelPair } from './fit-travel.js';
export { distanceCovered, timeToCover, travelTime, type TravelModel } from './travel.js';
