import { useEffect, useRef, useState } from 'react';
import type { FilmMade, FilmOrder } from './film-maker.worker.js';

/** Films the simulated athlete in a worker: the whole way can be tried without a camera. */
export function useFilmMaker(onFilm: (film: File) => void) {
  const [share, setShare] = useState<number | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const worker = useRef<Worker | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);
  const make = (order: FilmOrder) => {
    worker.current?.terminate();
    const maker = new Worker(new URL('./film-maker.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.current = maker;
    setShare(0);
    setFailed(null);
    maker.onmessage = ({ data }: MessageEvent<FilmMade>) => {
      if ('share' in data) {
        setShare(data.share);
        return;
      }
      setShare(null);
      maker.terminate();
      if ('film' in data) onFilm(new File([data.film], 'simulated.webm', { type: 'video/webm' }));
      else setFailed(data.failed);
    };
    maker.postMessage(order);
  };
  return { make, share, failed };
}
