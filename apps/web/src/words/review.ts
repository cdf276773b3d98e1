import { review as en } from './en/review.js';
import { speaker } from './say.js';

/** What is said at review. */
export const say = speaker(en);
