/** What has come of a device's numbered events: all up to `whole`, and some beyond it. */
export interface Stream {
  readonly whole: number;
  readonly beyond: readonly number[];
}

/** Before anything has come; a device counts its events from 1. */
export const NOTHING_HEARD: Stream = { whole: 0, beyond: [] };

/** What an event means for its stream; a duplicate leaves the stream as it is. */
export interface Taken {
  readonly stream: Stream;
  readonly isNew: boolean;
}

/** Takes note of an event by its number, in whatever order events come and however often. */
export function take(stream: Stream, seq: number): Taken {
  if (seq <= stream.whole || stream.beyond.includes(seq)) return { stream, isNew: false };
  const beyond = [...stream.beyond, seq].sort((a, b) => a - b);
  let { whole } = stream;
  while (beyond[0] === whole + 1) whole = beyond.shift() ?? whole;
  return { stream: { whole, beyond }, isNew: true };
}

/**
 * The numbers that must have been sent and have not come, as ranges from–to; `newest` is the
 * number the device says it has come to.
 */
export function gapsOf(
  { whole, beyond }: Stream,
  newest = 0,
): (readonly [from: number, to: number])[] {
  const gaps: [number, number][] = [];
  let last = whole;
  for (const seq of beyond) {
    if (seq > last + 1) gaps.push([last + 1, seq - 1]);
    last = seq;
  }
  if (newest > last) gaps.push([last + 1, newest]);
  return gaps;
}
