import { useEffect, useSyncExternalStore } from 'react';
import { useRemembered } from '../device/useRemembered.js';

type Theme = 'light' | 'dark';

const darkWished = window.matchMedia('(prefers-color-scheme: dark)');

function onWish(listener: () => void): () => void {
  darkWished.addEventListener('change', listener);
  return () => darkWished.removeEventListener('change', listener);
}

/** Light or dark: the device's setting, until somebody chooses. */
export function useTheme(): [Theme, () => void] {
  const [chosen, choose] = useRemembered<Theme | null>('theme', null);
  const wished = useSyncExternalStore<Theme>(onWish, () => (darkWished.matches ? 'dark' : 'light'));
  const theme = chosen ?? wished;
  useEffect(() => {
    document.documentElement.dataset['theme'] = theme;
  }, [theme]);
  return [theme, () => choose(theme === 'dark' ? 'light' : 'dark')];
}
