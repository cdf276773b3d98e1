import type { TimedEvent } from '@orthokin/core/timing';
import { fromCue } from '../../words/film.js';
import { MARK_WORDS } from './MarkKeys.js';

/** When an event happened, ms of its set, and its name. */
export interface EventWords {
  readonly atMs: number;
  readonly words: string;
}

/** A rep's marked events, with their times from the cue; the coach's own come last. */
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
