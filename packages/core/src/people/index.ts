export { AGE_BANDS, ageBandOn, ageOn, type AgeBand } from './age.js';
export { BODY_BOUNDS_M, usualLengths, type BodyLength, type BodyLengths } from './body.js';
export {
  LONGEST_NAME,
  LONGEST_CALLED,
  LONGEST_GOAL,
  LONGEST_ATHLETE_NOTE,
  LONGEST_CLUB_NAME,
  LONGEST_SPORT,
} from './texts.js';
