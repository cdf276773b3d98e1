import { forget, remember, remembered } from './preferences.js';

const NAME = 'at-station';

/** The station in a session that this device stands at. */
export interface AtStation {
  /** The session's room. */
  readonly room: string;
  /** From 1. */
  readonly station: number;
}

/** This device's station; `null` if it is at none. */
export const atStation = (): AtStation | null => remembered<AtStation | null>(NAME, null);

/** Remembers the station. */
export const goToStation = (at: AtStation): void => void remember(NAME, at);
/** Forgets the station. */
export const leaveStation = (): void => forget(NAME);
