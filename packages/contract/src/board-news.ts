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

/** Longest name on a board, in characters: the live channel's messages are short. */
export const LONGEST_ON_BOARD = 40;
/** Most names shown beside a board's stations; the rest are counted. */
export const MOST_ON_BOARD = 24;

/** Somebody who helps at a station. */
export class HelperNews {
  @IsString()
  @MaxLength(LONGEST_ON_BOARD)
  name: string;

  @IsIn(HELPER_ROLES)
  role: HelperRole;
}

/** What is to be timed at a station. */
export class TimedNews {
  @IsUUID()
  athleteId: string;

  /** `null`: the pattern the athlete is working on. */
  @OrNull()
  @IsUUID()
  patternId: string | null;
}

/** One station of a session. */
export class StationNews {
  /** `null` if nobody works there now. */
  @OrNull()
  @IsString()
  @MaxLength(LONGEST_ON_BOARD)
  works: string | null;

  @IsArray()
  @ArrayMaxSize(HELPER_ROLES.length)
  @ValidateNested({ each: true })
  @Type(() => HelperNews)
  helps: HelperNews[];

  /** `null` if nothing is timed there. */
  @OrNull()
  @IsDefined()
  @ValidateNested()
  @Type(() => TimedNews)
  timed: TimedNews | null;

  /** The room of the drills on the station's device; `null` if it has not said. */
  @OrNull()
  @Matches(ROOM)
  room: string | null;
}

/** The content of a session's board, sent on every change. */
export class BoardNews {
  @IsUUID()
  clubId: string;

  /** The current block's title; empty when the session is over. */
  @IsString()
  @MaxLength(LONGEST_TITLE)
  block: string;

  /** The current block's number, from 1. */
  @IsInt()
  @Min(0)
  place: number;

  @IsInt()
  @Min(0)
  blocks: number;

  /** The next block's title; empty after the last. */
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

  /** When this was sent, epoch ms on the session screen's clock. */
  @IsNumber()
  atMs: number;

  /** Seconds left in the block at that time; negative when it is overrunning. */
  @IsNumber()
  leftS: number;

  /** Seconds until the turn ended or the next began, at that time; `null` if there are no more turns. */
  @OrNull()
  @IsNumber()
  untilS: number | null;

  /** The current or next turn, from 1; 0 if nobody takes turns. */
  @IsInt()
  @Min(0)
  turn: number;

  @IsInt()
  @Min(0)
  turns: number;

  /** Whether a turn is running; otherwise everybody rests. */
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

  /** How many more rest than are named. */
  @IsInt()
  @Min(0)
  restMore: number;

  /** Who works in the next turn. */
  @IsArray()
  @ArrayMaxSize(BLOCK_BOUNDS.stations[1])
  @IsString({ each: true })
  @MaxLength(LONGEST_ON_BOARD, { each: true })
  next: string[];
}

/** A device at a station announces the room of its drills. */
export class AtStation {
  /** From 1. */
  @IsInt()
  @Min(1)
  @Max(BLOCK_BOUNDS.stations[1])
  station: number;

  @Matches(ROOM)
  room: string;
}
