import { together as en } from './en/together.js';
import { speaker } from './say.js';

/** What is said of sets that were run in turns. */
export const say = speaker(en);
