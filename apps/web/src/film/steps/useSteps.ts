import type { FootClick } from '@orthokin/core/film';
import { otherSide, type Point, type Side } from '@orthokin/core/floor';
import { useState } from 'react';
import { useRemembered } from '../../device/useRemembered.js';

/** Feet clicked in a film, by the rep's ordinal. */
type Clicked = Readonly<Record<number, readonly FootClick[]>>;

/** Clicking a rep's feet in the order they land. */
export interface StepWork {
  readonly isOn: boolean;
  readonly begin: () => void;
  readonly end: () => void;
  readonly clicks: readonly FootClick[];
  /** Which foot the next click is. */
  readonly foot: Side;
  readonly setFoot: (foot: Side) => void;
  readonly click: (at: Point, frame: number, toe?: Point) => void;
  /** Clicks the toe of the last foot, which gives its heading. */
  readonly clickToe: (at: Point) => void;
  readonly takeBack: () => void;
}

const FIRST_FOOT: Side = 'right';

/** Each click is stored on this device at once. */
export function useSteps(filmKey: string, ordinal: number): StepWork {
  const [all, keep] = useRemembered<Clicked>(`film-steps.${filmKey}`, {});
  const [isOn, setOn] = useState(false);
  const [chosen, choose] = useState<Side | null>(null);
  const clicks = all[ordinal] ?? [];
  const last = clicks.at(-1);
  const foot = chosen ?? (last ? otherSide(last.foot) : FIRST_FOOT);
  const put = (own: readonly FootClick[]) => keep({ ...all, [ordinal]: own });
  return {
    ...{ isOn, clicks, foot },
    begin: () => setOn(true),
    end: () => setOn(false),
    setFoot: choose,
    click: (at, frame, toe) => {
      put([...clicks, { frame, foot, at, ...(toe && { toe }) }]);
      choose(null);
    },
    clickToe: (toe) => {
      if (last) put([...clicks.slice(0, -1), { ...last, toe }]);
    },
    takeBack: () => put(clicks.slice(0, -1)),
  };
}
