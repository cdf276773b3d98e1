import { api as en } from './en/api.js';
import { speaker } from './say.js';

/** What is said at api. */
export const say = speaker(en);
