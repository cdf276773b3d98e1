import { useState } from 'react';
import { remember, remembered } from './preferences.js';

/** A choice stored on this device; `fallback` if none is stored that can be read. */
export function useRemembered<T>(name: string, fallback: T): [T, (value: T) => void] {
  const [value, setValue] = useState<T>(() => remembered(name, fallback));
  const keep = (next: T) => {
    setValue(next);
    remember(name, next);
  };
  return [value, keep];
}
