import { createContext, useContext, useSyncExternalStore } from 'react';
import type { Player, Playing } from './player.js';

export const PlayerContext = createContext<Player | null>(null);

export function usePlayer(): Player {
  const player = useContext(PlayerContext);
  if (!player) throw new Error('usePlayer needs a PlayerContext above it.');
  return player;
}

export function usePlaying(): Playing {
  const player = usePlayer();
  return useSyncExternalStore(player.subscribe, player.snapshot);
}
