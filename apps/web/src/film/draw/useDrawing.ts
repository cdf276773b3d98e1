import { drawnFrom, type Drawn, type DrawnKind } from '@orthokin/core/film';
import type { Point } from '@orthokin/core/floor';
import { useState } from 'react';
import { useRemembered } from '../../device/useRemembered.js';

/** Drawings of a film, by frame. */
type ByFrame = Readonly<Record<number, readonly Drawn[]>>;

/** Drawing on the current frame. */
export interface DrawWork {
  /** What is being drawn; `null` if nothing is. */
  readonly tool: DrawnKind | null;
  readonly choose: (tool: DrawnKind | null) => void;
  /** The drawings on this frame. */
  readonly drawn: readonly Drawn[];
  readonly drawnAt: (frame: number) => readonly Drawn[];
  /** The points clicked so far. */
  readonly places: readonly Point[];
  readonly text: string;
  readonly setText: (text: string) => void;
  readonly click: (at: Point) => void;
  /** Ends a path, which may have any number of points. */
  readonly finish: () => void;
  readonly takeBack: () => void;
}

/** Drawings are stored on this device, by film and frame. */
export function useDrawing(filmKey: string, frame: number): DrawWork {
  const [all, keep] = useRemembered<ByFrame>(`film-drawings.${filmKey}`, {});
  const [tool, setTool] = useState<DrawnKind | null>(null);
  const [places, setPlaces] = useState<readonly Point[]>([]);
  const [text, setText] = useState('');
  const drawn = all[frame] ?? [];
  const put = (thing: Drawn | null) => {
    if (!thing) return false;
    keep({ ...all, [frame]: [...drawn, thing] });
    setPlaces([]);
    return true;
  };
  return {
    ...{ tool, drawn, places, text, setText },
    drawnAt: (at) => all[at] ?? [],
    choose: (next) => {
      setTool(next);
      setPlaces([]);
    },
    click: (at) => {
      if (tool === null) return;
      if (tool === 'word') {
        if (text.trim() !== '') put({ kind: 'word', at, text: text.trim() });
        return;
      }
      const next = [...places, at];
      if (!put(drawnFrom(tool, next))) setPlaces(next);
    },
    finish: () => {
      if (tool === 'path') put(drawnFrom(tool, places, true));
    },
    takeBack: () => {
      if (places.length > 0) setPlaces(places.slice(0, -1));
      else keep({ ...all, [frame]: drawn.slice(0, -1) });
    },
  };
}
