import { thoseIn } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import { say } from '../words/plan.js';
import type { OfBlock } from './of-block.js';
import { People } from './People.js';

/** Chooses which attendees do a block; by default everybody. */
export function WhoDoes({
  block,
  athleteIds,
  nameOf,
  onChange,
}: OfBlock & {
  onChange: (who: readonly string[] | null) => void;
}): ReactElement {
  const does = thoseIn(block, athleteIds);
  const toggle = (id: string) => {
    const next = athleteIds.filter((one) => (one === id) !== does.includes(one));
    // Stored as `null` if nobody is left out, so that somebody who joins later is included.
    onChange(next.length === athleteIds.length ? null : next);
  };
  const title =
    does.length === athleteIds.length
      ? say('whoEverybody')
      : say('whoSome', { count: does.length, all: athleteIds.length });
  return (
    <>
      <span>{title}</span>
      <People role="group" aria-label={say('who')}>
        {athleteIds.map((id) => (
          <button
            key={id}
            type="button"
            aria-pressed={does.includes(id)}
            onClick={() => toggle(id)}
          >
            {nameOf(id)}
          </button>
        ))}
      </People>
    </>
  );
}
