import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3-zoom';
import { useEffect, useRef, useState, type RefObject } from 'react';
import { TAKES_THE_PRESS } from './useFloorDrag.js';

const MOST = 8;

/** Whether a press hits something draggable, so that the floor must not pan. */
const takesThePress = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest(`[${TAKES_THE_PRESS}]`) !== null;

export interface Zoom {
  readonly transform: ZoomTransform;
  readonly by: (factor: number) => void;
  readonly fit: () => void;
}

/** Zooms and pans an SVG by wheel, pinch and drag on its background. */
export function useZoom(svg: RefObject<SVGSVGElement | null>): Zoom {
  const [transform, setTransform] = useState<ZoomTransform>(zoomIdentity);
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null);
  useEffect(() => {
    if (!svg.current) return;
    const zooming = zoom<SVGSVGElement, unknown>()
      .scaleExtent([0.6, MOST])
      .filter(
        (event: MouseEvent) =>
          event.type === 'wheel' ||
          (!event.button && !event.ctrlKey && !takesThePress(event.target)),
      )
      .on('zoom', (event: { transform: ZoomTransform }) => setTransform(event.transform));
    behaviour.current = zooming;
    const chosen = select(svg.current);
    chosen.call(zooming).on('dblclick.zoom', null);
    return () => {
      chosen.on('.zoom', null);
    };
  }, [svg]);
  // Stable functions, so that buttons need not rerender.
  const [ways] = useState(() => ({
    by: (factor: number) => {
      if (behaviour.current && svg.current) behaviour.current.scaleBy(select(svg.current), factor);
    },
    fit: () => {
      if (behaviour.current && svg.current)
        behaviour.current.transform(select(svg.current), zoomIdentity);
    },
  }));
  return { transform, ...ways };
}
