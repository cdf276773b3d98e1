import { useEffect, useRef } from 'react';
import { planBeep } from '../../sound/audio.js';

const [TURN_HZ, END_HZ] = [660, 880];
const beep = (hz: number) => planBeep({ hz, lengthS: 0.25, level: 0.4 }, performance.now() + 30);

/**
 * Beeps when a turn begins or ends, and higher when the block's time is up; silent when the coach jumps to a block.
 */
export function useTurnBeeps({
  turn,
  leftS,
  place,
}: {
  /** `null` between two turns. */
  readonly turn: number | null;
  /** Seconds left in the block. */
  readonly leftS: number;
  /** The block's index. */
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
