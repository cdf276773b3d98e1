import { parts as en } from './en/parts.js';
import { speaker } from './say.js';

/** What is said at parts. */
export const say = speaker(en);
