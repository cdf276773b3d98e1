import { useEffect, useRef, useState, type RefObject } from 'react';

/** An element's current width, CSS px; `fallback` until it is measured. */
export function useWidth<E extends HTMLElement>(fallback: number): [RefObject<E | null>, number] {
  const ref = useRef<E>(null);
  const [width, setWidth] = useState(fallback);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setWidth(entry.contentRect.width);
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, width];
}
