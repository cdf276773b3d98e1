import { createContext } from 'react';

/** The steps of the introduction, and the page each is shown on. */
export const WALK = [
  ['squad', '/'],
  ['floor', '/floor'],
  ['review', '/review'],
  ['ladder', '/ladder'],
  ['patterns', '/patterns'],
] as const;

/** Starts the introduction. */
export const StartWalk = createContext<() => void>(() => undefined);
