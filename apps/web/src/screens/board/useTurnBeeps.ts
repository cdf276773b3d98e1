import { useEffect, useRef } from 'react';
import { planBeep } from '../../sound/audio.js';

const [TURN_HZ, END_HZ] = [660, 880];
const beep = (hz: number) => planBeep({ hz, lengthS: 0.25, level: 0.4 }, performance.now() + 30);

/** A beep when a turn begins or ends, a higher one when the block's time is up; none when a block is gone to. */
export function useTurnBeeps({
  turn,
  leftS,
  place,
}: {
  /** `null` between two. */
  readonly turn: number | null;
  /** Of the block, s. */
  readonly leftS: number;
  /** Of the block. */
  readonly place: number;
}): void {
  const isOverTime = leftS < 0;
  const was = useRef({ turn, isOverTime, place });
  useEffect(() => {
    const before = was.current;
    was.current = { turn, isOverTime, place };
    if (before.place !== place) return;
    if (isOverTime && !before.isOverTime) beep(END_HZ);
    else if (turn !== before.turn) beep(TURN_HZ);
  }, [turn, isOverTime, place]);
}
