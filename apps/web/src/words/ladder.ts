import { ladder as en } from './en/ladder.js';
import { speaker } from './say.js';

/** What is said at ladder. */
export const say = speaker(en);
