import { drill as en } from './en/drill.js';
import { speaker } from './say.js';

/** What is said at drill. */
export const say = speaker(en);
