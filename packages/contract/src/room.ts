/** Letters and figures that are not mistaken for each other when read out across a floor. */
export const ROOM_LETTERS = 'ACDEFHJKLMNPRTUVWXY3479';
export const ROOM_LENGTH = 6;
export const ROOM = new RegExp(`^[${ROOM_LETTERS}]{${ROOM_LENGTH}}$`);

export const isRoomCode = (code: string): boolean => ROOM.test(code);
