import { thoseIn } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import { say } from '../words/plan.js';
import type { OfBlock } from './of-block.js';
import { People } from './People.js';

/** Who of those that come does a block; everybody, unless somebody is pressed out. */
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
    // Whoever comes later is in it too, as long as nobody is left out.
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
