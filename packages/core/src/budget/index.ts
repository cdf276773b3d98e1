export { distanceCovered, travelTime, type TravelModel } from './travel.js';
