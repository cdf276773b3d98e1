import { useEffect, useRef, type ReactElement } from 'react';

/** A small picture out of a film. */
export function Picture({ bitmap }: { bitmap: ImageBitmap }): ReactElement {
  const ref = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const canvas = ref.current;
    if (!canvas || bitmap.width === 0) return;
    Object.assign(canvas, { width: bitmap.width, height: bitmap.height });
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0);
  }, [bitmap]);
  return <canvas ref={ref} />;
}
