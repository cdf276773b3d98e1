import {
  IsDefined,
  IsIn,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  MaxLength,
} from 'class-validator';
import { IsMoment } from './moment.js';
import { ROOM, ROOM_RULE, SCREEN, SCREEN_RULE } from './room.js';

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

/** Those who hold a room: it is a drill's, or a session's, and whoever runs one is let in by who they are. */
const HOLDERS: readonly LiveRole[] = ['drill', 'session'];

export const isHolder = (role: LiveRole): boolean => HOLDERS.includes(role);

/** What a screen that only knows the code may say, by the name it says it under. */
const MAY_TELL: Readonly<Record<string, readonly LiveRole[]>> = {
  here: LIVE_ROLES,
  direct: LIVE_ROLES,
  'clock?': LIVE_ROLES,
  call: ['caller'],
  ask: ['panel', 'stations'],
  at: ['station'],
};

/** Whether a screen may say something: one that joined by code presses what is its own, and nothing else. */
export const mayTell = (role: LiveRole, type: string): boolean =>
  isHolder(role) || (MAY_TELL[type]?.includes(role) ?? false);

/** The live channel of one drill or session: whoever knows its code hears and says everything in it. */
export class LiveQuery {
  @Matches(ROOM, { message: ROOM_RULE })
  room: string;

  /** Made by the screen, so that it does not hear itself. */
  @Matches(SCREEN, { message: SCREEN_RULE })
  screen: string;

  @IsIn(LIVE_ROLES)
  role: LiveRole;

  /** Whose drill or session it is; told by whoever holds the room. */
  @IsOptional()
  @IsUUID()
  club?: string;
}

/** A screen that is joined to a drill or session of a club, as its owner sees it. */
export class JoinedScreenReply {
  @IsString()
  room: string;

  /** What the others of the room know it by. */
  @IsString()
  screen: string;

  @IsIn(LIVE_ROLES)
  role: LiveRole;

  /** Who is signed in there; empty where nobody is. */
  @IsString()
  name: string;

  /** What browser and system it says it is. */
  @IsString()
  device: string;

  @IsMoment()
  since: string;
}

/** Whoever holds the room shows a screen the door; it does not come in again. */
export class LiveEnd {
  @Matches(SCREEN, { message: SCREEN_RULE })
  screen: string;
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
