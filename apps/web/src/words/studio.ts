import { studio as en } from './en/studio.js';
import { speaker } from './say.js';

/** What is said at studio. */
export const say = speaker(en);
