/** Query key of everything about films on this device, so that all of it is refreshed when one comes or goes. */
export const KEPT = ['kept films'] as const;
