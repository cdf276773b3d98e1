import { LONGEST_NAME } from '@orthokin/core/people';
import {
  BLOCK_BOUNDS,
  BLOCK_KINDS,
  GAME_FORMS,
  HELPER_ROLES,
  LONGEST_BLOCK_NOTE,
  LONGEST_NEEDS,
  LONGEST_TITLE,
  MOST_BLOCKS,
  MOST_PLANNED,
  OBJECTS,
  SESSION_MINUTES,
  WANTED,
  type Block,
  type BlockKind,
  type GameForm,
  type HelperRole,
  type PlayObject,
  type Session,
  type Stay,
} from '@orthokin/core/plan';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsDay } from './moment.js';
import { OrNull } from './or-null.js';
import { MAX_VERSION } from './paths.js';

/** Somebody stays at one station. */
export class StayBody implements Stay {
  @IsUUID()
  athleteId: string;

  @IsInt()
  @Min(1)
  @Max(BLOCK_BOUNDS.stations[1])
  station: number;
}

export class BlockBody implements Block {
  @IsUUID()
  id: string;

  @IsIn(BLOCK_KINDS)
  kind: BlockKind;

  @IsString()
  @MaxLength(LONGEST_TITLE)
  title: string;

  @IsIn(['together', 'turns'])
  how: Block['how'];

  @IsInt()
  @Min(BLOCK_BOUNDS.minutes[0])
  @Max(BLOCK_BOUNDS.minutes[1])
  minutes: number;

  @IsInt()
  @Min(BLOCK_BOUNDS.sets[0])
  @Max(BLOCK_BOUNDS.sets[1])
  sets: number;

  @IsInt()
  @Min(BLOCK_BOUNDS.workS[0])
  @Max(BLOCK_BOUNDS.workS[1])
  workS: number;

  @IsInt()
  @Min(BLOCK_BOUNDS.restS[0])
  @Max(BLOCK_BOUNDS.restS[1])
  restS: number;

  @IsInt()
  @Min(BLOCK_BOUNDS.stations[0])
  @Max(BLOCK_BOUNDS.stations[1])
  stations: number;

  @IsArray()
  @ArrayMaxSize(HELPER_ROLES.length)
  @ArrayUnique()
  @IsIn(HELPER_ROLES, { each: true })
  helpers: readonly HelperRole[];

  @IsIn(OBJECTS)
  object: PlayObject;

  @OrNull()
  @IsUUID()
  patternId: string | null;

  @IsString()
  @MaxLength(LONGEST_NEEDS)
  needs: string;

  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_BLOCK_NOTE)
  note?: string | null;

  /** Absent: everybody who attends. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_PLANNED)
  @ArrayUnique()
  @IsUUID(undefined, { each: true })
  who?: readonly string[] | null;

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_PLANNED)
  @ArrayUnique(({ athleteId }: StayBody) => athleteId)
  @ValidateNested({ each: true })
  @Type(() => StayBody)
  stays?: readonly StayBody[] | null;

  @IsOptional()
  @IsInt()
  @Min(WANTED[0])
  @Max(WANTED[1])
  wanted?: number | null;

  @IsOptional()
  @IsIn(GAME_FORMS)
  game?: GameForm | null;
}

/** Creates or changes a planned session, with everything in it. */
export class PlanBody implements Session {
  @IsString()
  @Length(1, LONGEST_NAME)
  name: string;

  @IsDay()
  day: string;

  /** Local time, HH:MM. */
  @Matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: '$property must be a time like 17:30' })
  startsAt: string;

  @IsInt()
  @Min(SESSION_MINUTES[0])
  @Max(SESSION_MINUTES[1])
  minutes: number;

  @IsArray()
  @ArrayMaxSize(MOST_PLANNED)
  @ArrayUnique()
  @IsUUID(undefined, { each: true })
  athleteIds: readonly string[];

  @IsArray()
  @ArrayMaxSize(MOST_BLOCKS)
  @ArrayUnique(({ id }: BlockBody) => id)
  @ValidateNested({ each: true })
  @Type(() => BlockBody)
  blocks: readonly BlockBody[];

  /** The programme it belongs to, which may have been deleted. */
  @IsOptional()
  @IsUUID()
  programmeId?: string | null;

  /** One more than the revision this was based on; refused if somebody else changed it meanwhile. */
  @IsInt()
  @Min(1)
  @Max(MAX_VERSION)
  revision: number;
}

export class PlanReply extends PlanBody {
  @IsUUID()
  id: string;
}
