import { floor as en } from './en/floor.js';
import { speaker } from './say.js';

/** What is said at floor. */
export const say = speaker(en);
