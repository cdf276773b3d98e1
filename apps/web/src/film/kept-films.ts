/** Under what is asked of the films on this device: all of it changes when one comes or goes. */
export const KEPT = ['kept films'] as const;
