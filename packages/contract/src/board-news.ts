import {
  BLOCK_BOUNDS,
  HELPER_ROLES,
  LONGEST_BLOCK_NOTE,
  LONGEST_NEEDS,
  LONGEST_TITLE,
  type HelperRole,
} from '@orthokin/core/plan';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { OrNull } from './or-null.js';
import { ROOM } from './room.js';

/** Longest name on a board, in characters: more of them do not fit through the channel. */
export const LONGEST_ON_BOARD = 40;
/** Most names beside the stations of a board; the others are counted. */
export const MOST_ON_BOARD = 24;

/** Somebody who helps at a station. */
export class HelperNews {
  @IsString()
  @MaxLength(LONGEST_ON_BOARD)
  name: string;

  @IsIn(HELPER_ROLES)
  role: HelperRole;
}

/** What is to be timed at a station: whose set, on what. */
export class TimedNews {
  @IsUUID()
  athleteId: string;

  /** `null`: what they work on. */
  @OrNull()
  @IsUUID()
  patternId: string | null;
}

/** One station of a session. */
export class StationNews {
  /** `null` where nobody works now. */
  @OrNull()
  @IsString()
  @MaxLength(LONGEST_ON_BOARD)
  works: string | null;

  @IsArray()
  @ArrayMaxSize(HELPER_ROLES.length)
  @ValidateNested({ each: true })
  @Type(() => HelperNews)
  helps: HelperNews[];

  /** `null` where nothing is timed. */
  @OrNull()
  @IsDefined()
  @ValidateNested()
  @Type(() => TimedNews)
  timed: TimedNews | null;

  /** Of the drills of the device there; `null` where none has said. */
  @OrNull()
  @Matches(ROOM)
  room: string | null;
}

/** What a session's board shows: told with every change. */
export class BoardNews {
  @IsUUID()
  clubId: string;

  /** Of the block that is on; empty when the session is over. */
  @IsString()
  @MaxLength(LONGEST_TITLE)
  block: string;

  /** From 1. */
  @IsInt()
  @Min(0)
  place: number;

  @IsInt()
  @Min(0)
  blocks: number;

  /** Of the block after; empty after the last. */
  @IsString()
  @MaxLength(LONGEST_TITLE)
  following: string;

  @IsString()
  @MaxLength(LONGEST_BLOCK_NOTE)
  note: string;

  @IsString()
  @MaxLength(LONGEST_NEEDS)
  needs: string;

  @IsBoolean()
  isPaused: boolean;

  /** When it was told, epoch ms on the clock of the session's screen. */
  @IsNumber()
  atMs: number;

  /** Of the block, then, s; negative once it is over its time. */
  @IsNumber()
  leftS: number;

  /** Until the turn ended, or the next began, then, s; `null` where neither comes. */
  @OrNull()
  @IsNumber()
  untilS: number | null;

  /** Of the turn that is on or comes next, from 1; 0 where nobody takes turns. */
  @IsInt()
  @Min(0)
  turn: number;

  @IsInt()
  @Min(0)
  turns: number;

  /** Whether a turn is on; else all rest until the next. */
  @IsBoolean()
  isOn: boolean;

  @IsArray()
  @ArrayMaxSize(BLOCK_BOUNDS.stations[1])
  @ValidateNested({ each: true })
  @Type(() => StationNews)
  stations: StationNews[];

  @IsArray()
  @ArrayMaxSize(MOST_ON_BOARD)
  @IsString({ each: true })
  @MaxLength(LONGEST_ON_BOARD, { each: true })
  rests: string[];

  /** How many rest besides those named. */
  @IsInt()
  @Min(0)
  restMore: number;

  /** Who works in the turn after. */
  @IsArray()
  @ArrayMaxSize(BLOCK_BOUNDS.stations[1])
  @IsString({ each: true })
  @MaxLength(LONGEST_ON_BOARD, { each: true })
  next: string[];
}

/** A device is at a station: the room of its drills. */
export class AtStation {
  /** From 1. */
  @IsInt()
  @Min(1)
  @Max(BLOCK_BOUNDS.stations[1])
  station: number;

  @Matches(ROOM)
  room: string;
}
