import { cameraShift } from '@orthokin/core/film';
import { useEffect, useState } from 'react';
import type { Film } from '../read/useFilm.js';
import { greyAt } from './grey.js';

/**
 * Whether the camera moved between two frames, judged by the still background.
 * @param from the frame the floor was clicked in; `null` if it was not
 */
export function useCameraMoved(
  { frame }: Pick<Film, 'frame'>,
  from: number | null,
  to: number | null,
): boolean {
  const [movedIn, setMovedIn] = useState<string | null>(null);
  const pair = `${from} ${to}`;
  useEffect(() => {
    if (from === null || to === null || from === to) return;
    let isLeft = false;
    const look = async () => {
      const before = await greyAt({ frame }, from);
      const after = before && (await greyAt({ frame }, to));
      if (!after || isLeft) return;
      const { x, y } = cameraShift(before, after);
      if (x !== 0 || y !== 0) setMovedIn(pair);
    };
    // Only a warning depends on it, so a failure is ignored.
    void look().catch(() => undefined);
    return () => {
      isLeft = true;
    };
  }, [frame, from, to, pair]);
  return movedIn === pair;
}
