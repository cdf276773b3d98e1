import { useEffect, useRef } from 'react';
import { OWN_KEYS } from '../screen/own-keys.js';

/** Actions by `event.code`, prefixed with `Shift+` if that is held. */
export type FilmKeys = Readonly<Record<string, () => void>>;

const TYPES = `input, textarea, [role=listbox], [role=dialog], [${OWN_KEYS}]`;

/** The film room's keys. They work wherever the focus is, except in fields. */
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
