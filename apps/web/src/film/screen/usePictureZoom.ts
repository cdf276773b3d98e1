import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3-zoom';
import { useEffect, useRef, useState } from 'react';
import { KEEPS_PRESSES } from './keeps-presses.js';

const MOST = 8;

const isKept = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest(`[${KEEPS_PRESSES}]`) !== null;

export interface PictureZoom {
  /** Ref of the frame the picture is seen through. */
  readonly frame: (element: HTMLDivElement | null) => void;
  readonly transform: ZoomTransform;
  readonly by: (factor: number) => void;
  readonly fit: () => void;
}

/** Zooms and pans the picture in its frame by wheel, pinch and drag; it always fills the frame. */
export function usePictureZoom(): PictureZoom {
  const [element, setElement] = useState<HTMLDivElement | null>(null);
  const [transform, setTransform] = useState<ZoomTransform>(zoomIdentity);
  const behaviour = useRef<ZoomBehavior<HTMLDivElement, unknown> | null>(null);
  useEffect(() => {
    if (!element) return;
    const zooming = zoom<HTMLDivElement, unknown>()
      .scaleExtent([1, MOST])
      .filter(
        (event: MouseEvent) =>
          event.type === 'wheel' || (!event.button && !event.ctrlKey && !isKept(event.target)),
      )
      .on('start.extent', () => {
        const { clientWidth, clientHeight } = element;
        zooming.translateExtent([
          [0, 0],
          [clientWidth, clientHeight],
        ]);
      })
      .on('zoom', (event: { transform: ZoomTransform }) => setTransform(event.transform));
    behaviour.current = zooming;
    const chosen = select(element);
    chosen.call(zooming).on('dblclick.zoom', null);
    return () => {
      chosen.on('.zoom', null);
    };
  }, [element]);
  return {
    ...{ frame: setElement, transform },
    by: (factor) => {
      if (behaviour.current && element) behaviour.current.scaleBy(select(element), factor);
    },
    fit: () => {
      if (behaviour.current && element) behaviour.current.transform(select(element), zoomIdentity);
    },
  };
}
