import { useCallback, useEffect, useRef, useState } from 'react';
import type { Alignment } from '@orthokin/core/film';
import type { Answered, Asked, FilmInfo, Unreadable } from './messages.js';

/** A film, as far as it has been read. */
export interface Film {
  readonly info: FilmInfo | null;
  readonly unreadable: Unreadable | null;
  readonly strip: readonly ImageBitmap[];
  readonly positions: readonly ImageBitmap[];
  readonly page: readonly ImageBitmap[];
  /** Progress of finding the cues, 0 to 1; `null` when not running. */
  readonly hearing: number | null;
  /** `undefined` until the sound was searched. */
  readonly heard: { readonly alignment: Alignment | null; readonly tones: number } | undefined;
  /** Progress of making a clip, 0 to 1; `null` when not running. */
  readonly clipping: number | null;
  /** The last clip; `failed` if it could not be made. */
  readonly clip: Blob | 'failed' | null;
  /** Ref of the canvas that frames are painted on. */
  readonly onScreen: (canvas: HTMLCanvasElement | null) => void;
  readonly ask: (asked: Exclude<Asked, { ask: 'open' | 'lend' }>) => void;
  /** A frame as a picture of some height; `null` if it is not available. The caller closes it. */
  readonly frame: (index: number, heightPx: number) => Promise<ImageBitmap | null>;
}

type State = Omit<Film, 'onScreen' | 'ask' | 'frame'>;
type Lent = Extract<Answered, { tell: 'lent' }>;
type Shown = Extract<Answered, { tell: 'shown' }>;

const NOTHING: State = {
  ...{
    info: null,
    unreadable: null,
    strip: [],
    positions: [],
    page: [],
    hearing: null,
  },
  ...{ clipping: null, clip: null },
  heard: undefined,
};

function told(state: State, answer: Exclude<Answered, Lent | Shown>): State {
  switch (answer.tell) {
    case 'opened':
      return { ...state, info: answer.info };
    case 'unreadable':
      return { ...state, unreadable: answer };
    case 'readable':
      return { ...state, unreadable: null };
    case 'pictures':
      for (const picture of state[answer.of]) picture.close();
      return { ...state, [answer.of]: answer.pictures };
    case 'clipping':
      return { ...state, clipping: answer.share, clip: null };
    case 'clip':
      return { ...state, clipping: null, clip: answer.film ?? 'failed' };
    case 'hearing':
      return { ...state, hearing: answer.share };
    case 'heard':
      return {
        ...state,
        hearing: null,
        heard: { alignment: answer.alignment, tones: answer.tones },
      };
  }
}

/** Reads a film in a worker; nothing of it leaves the device. */
export function useFilm(file: Blob): Film {
  const [state, setState] = useState(NOTHING);
  const [screen, setScreen] = useState<HTMLCanvasElement | null>(null);
  const worker = useRef<Worker | null>(null);
  const borrowed = useRef(new Map<number, (picture: ImageBitmap | null) => void>());
  const lastId = useRef(0);
  useEffect(() => {
    if (!screen) return;
    const reader = new Worker(new URL('./film.worker.ts', import.meta.url), { type: 'module' });
    worker.current = reader;
    const borrowers = borrowed.current;
    reader.onmessage = ({ data }: MessageEvent<Answered>) => {
      if (data.tell === 'shown') {
        // Set on the canvas directly: rendering the whole desk for each frame would halve the frame rate.
        screen.dataset.frame = String(data.index);
        return;
      }
      if (data.tell !== 'lent') {
        setState((now) => told(now, data));
        return;
      }
      borrowers.get(data.id)?.(data.picture);
      borrowers.delete(data.id);
    };
    const drawn = screen.transferControlToOffscreen();
    reader.postMessage({ ask: 'open', file, screen: drawn } satisfies Asked, [drawn]);
    return () => {
      reader.terminate();
      worker.current = null;
      for (const give of borrowers.values()) give(null);
      borrowers.clear();
    };
  }, [file, screen]);
  return {
    ...state,
    onScreen: setScreen,
    ask: useCallback((asked) => worker.current?.postMessage(asked), []),
    frame: useCallback(
      (index, heightPx) =>
        new Promise((give) => {
          if (!worker.current) {
            give(null);
            return;
          }
          const id = lastId.current++;
          borrowed.current.set(id, give);
          worker.current.postMessage({ ask: 'lend', id, index, heightPx } satisfies Asked);
        }),
      [],
    ),
  };
}
