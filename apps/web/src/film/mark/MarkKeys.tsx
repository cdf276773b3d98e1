import { MARKED, type CueKnown, type Marked, type RepMarks } from '@orthokin/core/film';
import { eventOf, type TimedEvent } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { colour, MONO } from '../../parts/tokens.js';
import { fromCue, say } from '../../words/film.js';

/** A grid of large keys for marking. */
export const Keys = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
  gap: 8px;
  margin-top: 8px;
  button {
    display: grid;
    justify-items: start;
    gap: 2px;
    min-height: 56px;
    padding: 6px 12px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 4px;
    background: ${colour('raised')};
    color: ${colour('ink')};
    font: 650 16px inherit;
    font-family: inherit;
    text-align: left;
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    border-color: ${colour('ink')};
    box-shadow: inset 0 0 0 1.5px ${colour('ink')};
  }
  small {
    font: 14px ${MONO};
    color: ${colour('quiet')};
  }
`;

/** The events' names in the film room. */
export const MARK_WORDS: Readonly<Record<Marked, string>> = {
  splitLanding: say('splitLanding'),
  firstMove: say('firstMove'),
  arrival: say('arrival'),
  action: say('action'),
  departure: say('departure'),
  home: say('home'),
};

const CUE_KNOWN: Readonly<Record<CueKnown, string>> = {
  heard: say('cueHeard'),
  reckoned: say('cueReckoned'),
  marked: say('cueMarked'),
};

/** The key of each event. */
export const MARK_KEYS: Readonly<Record<Marked, readonly [code: string, key: string]>> = {
  splitLanding: ['KeyS', 'S'],
  firstMove: ['KeyF', 'F'],
  arrival: ['KeyA', 'A'],
  action: ['KeyC', 'C'],
  departure: ['KeyD', 'D'],
  home: ['KeyH', 'H'],
};

/** Keys for the current rep's events, with the times of those marked. */
export function MarkKeys({
  own,
  events,
  cueMs,
  isTied,
  cueIs,
  onMark,
  onMiss,
}: {
  own: RepMarks;
  events: readonly TimedEvent[];
  cueMs: number;
  /** Whether the film is tied to the set, so that frames have times. */
  isTied: boolean;
  /** How the cue's moment is known; `null` until the film is tied. */
  cueIs: CueKnown | null;
  onMark: (name: Marked | 'cue') => void;
  onMiss: () => void;
}): ReactElement {
  return (
    <>
      <p style={{ margin: '18px 0 0', fontWeight: 650 }}>{say('markKeys')}</p>
      <Keys>
        <button
          type="button"
          aria-pressed={own.frames.cue !== undefined}
          onClick={() => onMark('cue')}
        >
          {say('cue')}
          <small>Q {cueIs && CUE_KNOWN[cueIs]}</small>
        </button>
        {MARKED.map((name) => {
          const event = eventOf(events, name);
          return (
            <button
              key={name}
              type="button"
              aria-pressed={own.frames[name] !== undefined}
              disabled={!isTied}
              onClick={() => onMark(name)}
            >
              {MARK_WORDS[name]}
              <small>
                {MARK_KEYS[name][1]}
                {event && ` ${fromCue(event.atMs - cueMs)}`}
              </small>
            </button>
          );
        })}
        <button type="button" aria-pressed={own.missed} disabled={!isTied} onClick={onMiss}>
          {say('missed')}
          <small>M</small>
        </button>
      </Keys>
    </>
  );
}
