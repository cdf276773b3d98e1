import { useState } from 'react';
import { remember, remembered } from './preferences.js';

/** A choice kept on this device. Falls back to the given value when nothing usable is kept. */
export function useRemembered<T>(name: string, fallback: T): [T, (value: T) => void] {
  const [value, setValue] = useState<T>(() => remembered(name, fallback));
  const keep = (next: T) => {
    setValue(next);
    remember(name, next);
  };
  return [value, keep];
}
