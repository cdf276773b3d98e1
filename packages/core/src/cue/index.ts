export { exponential, normal, seededRandom, shuffled, uniform, type Random } from './random.js';
export { MAX_REPS, shuffledSchedule, type Cue, type ScheduleSettings } from './schedule.js';
