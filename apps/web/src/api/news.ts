import type { AthleteBody, DecisionReply } from '@orthokin/contract';
import { useSyncExternalStore } from 'react';
import { KeptNews, newsFor, type News } from '../device/kept-news.js';
import { useMe } from './me.js';

/** A move that was made here, and of which the server says otherwise. */
export interface Differing {
  readonly athleteId: string;
  readonly patternId: string;
  readonly fromRung: number;
  readonly toRung: number;
  /** What the rule says by all that the server knows. */
  readonly decision: DecisionReply;
}

/** Moves of this device that the server sees otherwise, by the move's id. */
export const differing = new KeptNews<Differing>('differing');

/**
 * Changes of athletes that came too late, by the athlete's id: somebody else had changed them. What was
 * typed is not thrown away for whoever typed it.
 */
export const overtaken = new KeptNews<AthleteBody>('overtaken');

/** What of it is for whoever is signed in, as it comes and is seen. */
export function useNews<Item>(kept: KeptNews<Item>): readonly News<Item>[] {
  const accountId = useMe().data?.signedIn?.accountId ?? null;
  return newsFor(useSyncExternalStore(kept.subscribe, kept.snapshot), accountId);
}
