import { createContext } from 'react';

/** The stops of the short walk, and where each is seen. */
export const WALK = [
  ['squad', '/'],
  ['floor', '/floor'],
  ['review', '/review'],
  ['ladder', '/ladder'],
  ['patterns', '/patterns'],
] as const;

/** Begins the short walk through the places. */
export const StartWalk = createContext<() => void>(() => undefined);
