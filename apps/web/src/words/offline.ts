import { amountWords } from './app.js';
import { offline as en } from './en/offline.js';
import { speaker } from './say.js';

/** What is said of opening without a network. */
export const say = speaker(en);

const MB = 1e6;
const GB = 1e9;
const MINUTE_MS = 60_000;

/** So many bytes, in megabytes or gigabytes. */
export const roomWords = (bytes: number): string =>
  bytes >= GB
    ? say('gigabytes', { gb: (bytes / GB).toFixed(1) })
    : say('megabytes', { mb: bytes < 10 * MB ? (bytes / MB).toFixed(1) : Math.round(bytes / MB) });

/** How long ago something was read. */
export const agoWords = (at: number, now = Date.now()): string =>
  now - at < MINUTE_MS ? say('justNow') : say('ago', { amount: amountWords(now - at) });
