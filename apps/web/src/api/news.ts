import type { AthleteBody, DecisionReply } from '@orthokin/contract';
import { useSyncExternalStore } from 'react';
import { KeptNews, newsFor, type News } from '../device/kept-news.js';
import { useMe } from './me.js';

/** A move made here about which the server decides differently. */
export interface Differing {
  readonly athleteId: string;
  readonly patternId: string;
  readonly fromRung: number;
  readonly toRung: number;
  /** The decision on all of the server's evidence. */
  readonly decision: DecisionReply;
}

/** Moves of this device that the server decides differently, by the move's id. */
export const differing = new KeptNews<Differing>('differing');

/** Changes of athletes that were overtaken by somebody else's, by the athlete's id, so that nothing typed is lost. */
export const overtaken = new KeptNews<AthleteBody>('overtaken');

/** News for the signed-in person, updated as it arrives and is read. */
export function useNews<Item>(kept: KeptNews<Item>): readonly News<Item>[] {
  const accountId = useMe().data?.signedIn?.accountId ?? null;
  return newsFor(useSyncExternalStore(kept.subscribe, kept.snapshot), accountId);
}
