import { join as en } from './en/join.js';
import { speaker } from './say.js';

/** What is said at join. */
export const say = speaker(en);
