import type { TimedEvent } from '@orthokin/core/timing';
import { fromCue } from '../../words/film.js';
import { MARK_WORDS } from './MarkKeys.js';

/** When something happened in a rep, ms of its set, and how that is said. */
export interface EventWords {
  readonly atMs: number;
  readonly words: string;
}

/** What was marked of a rep, each with its time from the cue; the coach's own events last. */
export const eventWords = (
  events: readonly TimedEvent[],
  coachEvents: readonly { readonly name: string; readonly atMs: number }[],
  cueMs: number,
): EventWords[] => {
  const said = (name: string, atMs: number) => ({
    ...{ atMs, words: `${name} ${fromCue(atMs - cueMs)} s` },
  });
  return [
    ...events.flatMap(({ name, atMs }) =>
      name === 'cue' || name === 'splitTakeoff' || name === 'nextCue'
        ? []
        : [said(MARK_WORDS[name], atMs)],
    ),
    ...coachEvents.map(({ name, atMs }) => said(name, atMs)),
  ];
};
