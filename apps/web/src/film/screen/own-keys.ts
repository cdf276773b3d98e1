/** Attribute of things that handle keys while focused; the film room's keys are then off. */
export const OWN_KEYS = 'data-own-keys';
