import {
  IsDefined,
  IsIn,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  MaxLength,
} from 'class-validator';
import { ROOM, ROOM_LENGTH, ROOM_LETTERS } from './room.js';

/** What a screen is in a drill, or in a session. */
export const LIVE_ROLES = [
  'drill',
  'cues',
  'caller',
  'panel',
  'camera',
  // Of a session: who runs it, who shows its board, a device at one of its stations, a panel over all.
  'session',
  'board',
  'station',
  'stations',
] as const;
export type LiveRole = (typeof LIVE_ROLES)[number];

/** The live channel of one drill or session: whoever knows its code hears and says everything in it. */
export class LiveQuery {
  @Matches(ROOM, { message: `room must be ${ROOM_LENGTH} of ${ROOM_LETTERS}` })
  room: string;

  /** Made by the screen, so that it does not hear itself. */
  @Matches(/^[\w-]{8,64}$/, { message: 'screen must be 8 to 64 letters, figures or dashes' })
  screen: string;

  @IsIn(LIVE_ROLES)
  role: LiveRole;
}

/** Longer ones do not fit through the database's notifications. */
export const MAX_LIVE_BYTES = 6000;

/** What a screen tells the others; what is in it is theirs to understand. */
export class LiveTell {
  @IsString()
  @MaxLength(40)
  type: string;

  /** Only for this screen; for all of the room when absent. */
  @IsOptional()
  @IsString()
  @MaxLength(64)
  to?: string;

  @IsDefined()
  @IsObject()
  body: Record<string, unknown>;
}
