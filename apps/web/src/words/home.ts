import { home as en } from './en/home.js';
import { speaker } from './say.js';

export const say = speaker(en);
