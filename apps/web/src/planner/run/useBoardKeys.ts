import { useEffect, useEffectEvent } from 'react';

/** Listens for single keys, in lower case, except while something is typed. */
export function useBoardKeys(onKey: (key: string) => void): void {
  const pressed = useEffectEvent((event: KeyboardEvent) => {
    const isTyping = event.target instanceof Element && event.target.closest('input, textarea');
    if (!isTyping && !event.ctrlKey && !event.metaKey && !event.altKey)
      onKey(event.key.toLowerCase());
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => pressed(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
