import { localDay } from '../device/local-day.js';

/** Today where the device is, `YYYY-MM-DD`. */
export const today = (): string => localDay(new Date());
