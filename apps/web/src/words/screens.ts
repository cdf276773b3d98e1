import { screens as en } from './en/screens.js';
import { speaker } from './say.js';

/** What is said at screens. */
export const say = speaker(en);
