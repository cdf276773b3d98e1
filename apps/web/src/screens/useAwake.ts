import { useEffect } from 'react';

/** Keeps the screen on while a set runs, if the device allows it. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let left = false;
    const hold = async () => {
      if (!('wakeLock' in navigator) || document.hidden) return;
      lock = await navigator.wakeLock.request('screen').catch(() => null);
      if (left) await lock?.release();
    };
    // Hiding the page releases the lock.
    const again = () => void hold();
    void hold();
    document.addEventListener('visibilitychange', again);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
}
