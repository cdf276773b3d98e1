/** Letters and digits that are not confused when read out across a floor. */
export const ROOM_LETTERS = 'ACDEFHJKLMNPRTUVWXY3479';
export const ROOM_LENGTH = 6;
export const ROOM = new RegExp(`^[${ROOM_LETTERS}]{${ROOM_LENGTH}}$`);

/** A screen's id in its room. */
export const SCREEN = /^[\w-]{8,64}$/;

/** The message for an invalid code. */
export const ROOM_RULE = `room must be ${ROOM_LENGTH} of ${ROOM_LETTERS}`;
export const SCREEN_RULE = 'screen must be 8 to 64 letters, figures or dashes';

export const isRoomCode = (code: string): boolean => ROOM.test(code);
