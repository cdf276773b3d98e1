import { useEffect, useRef, useState } from 'react';
import { shippedFilm } from './demo-film.js';
import type { FilmMade, FilmOrder } from './film-maker.worker.js';

/** Films the simulated athlete in a worker. */
export function useFilmMaker(onFilm: (film: File) => void) {
  const [share, setShare] = useState<number | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const worker = useRef<Worker | null>(null);
  /** Counts orders: a new one, or leaving the page, cancels the one before. */
  const asked = useRef(0);
  useEffect(
    () => () => {
      asked.current++;
      worker.current?.terminate();
    },
    [],
  );
  const take = (film: Blob) => {
    setShare(null);
    onFilm(new File([film], 'simulated.webm', { type: 'video/webm' }));
  };
  const begin = (): number => {
    worker.current?.terminate();
    setShare(0);
    setFailed(null);
    return ++asked.current;
  };
  const film = (order: FilmOrder) => {
    const maker = new Worker(new URL('./film-maker.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.current = maker;
    maker.onmessage = ({ data }: MessageEvent<FilmMade>) => {
      if ('share' in data) {
        setShare(data.share);
        return;
      }
      maker.terminate();
      if ('film' in data) take(data.film);
      else {
        setShare(null);
        setFailed(data.failed);
      }
    };
    maker.postMessage(order);
  };
  return {
    ...{ share, failed },
    make: (order: FilmOrder) => {
      begin();
      film(order);
    },
    /** Loads the shipped film, or makes one if that fails. */
    bring: (orElse: FilmOrder) => {
      const own = begin();
      void shippedFilm().then((shipped) => {
        if (asked.current !== own) return;
        if (shipped) take(shipped);
        else film(orElse);
      });
    },
  };
}
