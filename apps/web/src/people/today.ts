import { localDay } from '../device/local-day.js';

/** The device's calendar day, `YYYY-MM-DD`. */
export const today = (): string => localDay(new Date());
