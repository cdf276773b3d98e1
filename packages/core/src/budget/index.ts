export { distanceCovered, timeToCover, travelTime, type TravelModel } from './travel.js';
