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

/** Roles of screens in a drill or a session. */
export const LIVE_ROLES = [
  'drill',
  'cues',
  'caller',
  'panel',
  'camera',
  // In a session: who runs it, its board, a device at a station, a panel over all stations.
  'session',
  'board',
  'station',
  'stations',
] as const;
export type LiveRole = (typeof LIVE_ROLES)[number];

/** Roles that run a room; they are authenticated, while others only need the room's code. */
const HOLDERS: readonly LiveRole[] = ['drill', 'session'];

export const isHolder = (role: LiveRole): boolean => HOLDERS.includes(role);

/** What screens that joined by code may send, and in which roles; a screen that runs the room may send anything. */
const MAY_TELL: Readonly<Record<string, readonly LiveRole[]>> = {
  here: LIVE_ROLES,
  direct: LIVE_ROLES,
  'clock?': LIVE_ROLES,
  call: ['caller'],
  ask: ['panel', 'stations'],
  at: ['station'],
};

/** Whether a role may send a message: a screen that joined by code only sends its own kind of presses. */
export const mayTell = (role: LiveRole, type: string): boolean =>
  isHolder(role) || (MAY_TELL[type]?.includes(role) ?? false);

/** Joins a drill's or session's room on the live channel, by its code. */
export class LiveQuery {
  @Matches(ROOM, { message: ROOM_RULE })
  room: string;

  /** Chosen by the screen, so that it can ignore its own messages. */
  @Matches(SCREEN, { message: SCREEN_RULE })
  screen: string;

  @IsIn(LIVE_ROLES)
  role: LiveRole;

  /** The club of the drill or session; sent by the screen that runs the room. */
  @IsOptional()
  @IsUUID()
  club?: string;
}

/** A joined screen, as the club's owner sees it. */
export class JoinedScreenReply {
  @IsString()
  room: string;

  /** The id other screens know it by. */
  @IsString()
  screen: string;

  @IsIn(LIVE_ROLES)
  role: LiveRole;

  /** The signed-in account's name; empty if nobody is signed in. */
  @IsString()
  name: string;

  /** Browser and system. */
  @IsString()
  device: string;

  @IsMoment()
  since: string;
}

/** The screen that runs the room expels another, which cannot come back. */
export class LiveEnd {
  @Matches(SCREEN, { message: SCREEN_RULE })
  screen: string;
}

/** PostgreSQL notifications, which carry messages between servers, hold at most 8000 bytes. */
export const MAX_LIVE_BYTES = 6000;

/** A screen sends a message to the others in its room. */
export class LiveTell {
  @IsString()
  @MaxLength(40)
  type: string;

  /** The receiving screen; absent: all screens of the room. */
  @IsOptional()
  @IsString()
  @MaxLength(64)
  to?: string;

  @IsDefined()
  @IsObject()
  body: Record<string, unknown>;
}
