/** Something that has keys of its own while it has the focus: those of the film room are left alone. */
export const OWN_KEYS = 'data-own-keys';
