import { sound as en } from './en/sound.js';
import { speaker } from './say.js';

/** What is said of recorded words. */
export const say = speaker(en);
