import type { Round } from '@orthokin/core/plan';
import { useEffect, useEffectEvent } from 'react';

/** The keys 1, 2, … are for whoever works at that station; not while something is being typed. */
export function useStationKeys(round: Round | null, onKey: (athleteId: string) => void): void {
  const pressed = useEffectEvent((event: KeyboardEvent) => {
    const isTyping = event.target instanceof Element && event.target.closest('input, textarea');
    if (isTyping || event.ctrlKey || event.metaKey || event.altKey) return;
    const station = round?.stations[Number(event.key) - 1];
    if (station) onKey(station.works);
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => pressed(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
