import { planBeep } from '../sound/audio.js';

/** Plans the cue tone for a moment of the page's clock; the reply calls it off. */
export const planTone = (pageMs: number): (() => void) =>
  planBeep({ hz: 880, lengthS: 0.14, level: 0.5 }, pageMs);
