import type { RepMarks } from '@orthokin/core/film';
import type { PositionName } from '@orthokin/core/pattern';

/** Height of a still, px. */
export const STILL_HEIGHT = 180;

/** A position that can be seen in a rep, with its frame. */
export interface SeenPosition {
  readonly name: Exclude<PositionName, 'action'>;
  readonly frame: number;
}

/** The positions whose frames are known: stance at the cue, the others where they were marked. */
export const positionsSeen = ({ frames }: RepMarks, cueFrame: number): SeenPosition[] => {
  const at = {
    stance: cueFrame,
    split: frames.splitLanding,
    load: frames.arrival,
    recovery: frames.home,
  };
  return (['stance', 'split', 'load', 'recovery'] as const).flatMap((name) => {
    const frame = at[name];
    return frame === undefined ? [] : [{ name, frame }];
  });
};
