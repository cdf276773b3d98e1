import { library as en } from './en/library.js';
import { speaker } from './say.js';

/** What is said at library. */
export const say = speaker(en);
