import { app as en } from './en/app.js';
import { speaker } from './say.js';

/** What is said at the frame of the app. */
export const say = speaker(en);
