import { forget, remember, remembered } from './preferences.js';

const NAME = 'at-station';

/** The station of a session that this device is at. */
export interface AtStation {
  /** Of the session. */
  readonly room: string;
  /** From 1. */
  readonly station: number;
}

/** Where this device is; `null` at no station. */
export const atStation = (): AtStation | null => remembered<AtStation | null>(NAME, null);

/** From now on it is there. */
export const goToStation = (at: AtStation): void => void remember(NAME, at);
/** From now on it is at none. */
export const leaveStation = (): void => forget(NAME);
