import { useEffect, useRef } from 'react';
import { OWN_KEYS } from '../screen/own-keys.js';

/** What each key does, by `event.code`; with `Shift+` before it where that is held. */
export type FilmKeys = Readonly<Record<string, () => void>>;

const TYPES = `input, textarea, [role=listbox], [role=dialog], [${OWN_KEYS}]`;

/** Keys of the film room; they work wherever the focus is, but where something is typed or chosen. */
export function useFilmKeys(keys: FilmKeys): void {
  const current = useRef(keys);
  useEffect(() => {
    current.current = keys;
  });
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.target instanceof Element && event.target.closest(TYPES)) return;
      const act = current.current[`${event.shiftKey ? 'Shift+' : ''}${event.code}`];
      if (!act) return;
      event.preventDefault();
      event.stopPropagation();
      act();
    };
    window.addEventListener('keydown', down, { capture: true });
    return () => window.removeEventListener('keydown', down, { capture: true });
  }, []);
}
