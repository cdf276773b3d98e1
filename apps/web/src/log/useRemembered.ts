import { useState } from 'react';

/** A choice kept on this device. Falls back to the given value when nothing usable is kept. */
export function useRemembered<T>(name: string, fallback: T): [T, (value: T) => void] {
  const key = `orthokin.${name}`;
  const [value, setValue] = useState<T>(() => {
    try {
      const kept = localStorage.getItem(key);
      return kept === null ? fallback : (JSON.parse(kept) as T);
    } catch {
      return fallback;
    }
  });
  const remember = (next: T) => {
    setValue(next);
    try {
      localStorage.setItem(key, JSON.stringify(next));
    } catch {
      // A full or closed storage must not stop a drill; the choice just will not be remembered.
    }
  };
  return [value, remember];
}
