import type { HeldSessionReply } from '@orthokin/contract';

const MINUTE_MS = 60_000;

/** How long a session was, in whole minutes. */
export const minutesBetween = ({
  startedAt,
  endedAt,
}: Pick<HeldSessionReply, 'startedAt' | 'endedAt'>): number =>
  Math.round((Date.parse(endedAt) - Date.parse(startedAt)) / MINUTE_MS);
