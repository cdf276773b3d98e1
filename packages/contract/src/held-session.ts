import { LONGEST_NAME } from '@orthokin/core/people';
import {
  BLOCK_KINDS,
  EFFORT,
  GAME_FORMS,
  LONGEST_TITLE,
  MOST_BLOCKS,
  MOST_PLANNED,
  SESSION_MINUTES,
  WANTED,
  type BlockKind,
  type GameForm,
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
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { CourseSetReply } from './course.js';
import { IsDay, IsMoment } from './moment.js';
import { OrNull } from './or-null.js';

/** A block may be run more than once. */
const MOST_HELD = 2 * MOST_BLOCKS;
/** A block as it was run. */
export class HeldBlockBody {
  /** Its id in the plan. */
  @IsUUID()
  blockId: string;

  @IsIn(BLOCK_KINDS)
  kind: BlockKind;

  @IsString()
  @MaxLength(LONGEST_TITLE)
  title: string;

  /** For a game: what is counted. */
  @IsOptional()
  @IsIn(GAME_FORMS)
  game?: GameForm | null;

  /** For a challenge: the number wanted. */
  @IsOptional()
  @IsInt()
  @Min(WANTED[0])
  @Max(WANTED[1])
  wanted?: number | null;

  @IsMoment()
  startedAt: string;

  @IsMoment()
  endedAt: string;
}

/** Far more than anybody counts in a block. */
const MOST_COUNT = 100_000;

/** A result in a block: a count, or rounds won. */
export class ScoreBody {
  @IsUUID()
  blockId: string;

  @IsInt()
  @Min(0)
  @Max(MOST_COUNT)
  count: number;
}

/** Somebody's attendance of a session: how long, and how hard it was. */
export class AttendedBody {
  @IsUUID()
  athleteId: string;

  @IsInt()
  @Min(1)
  @Max(SESSION_MINUTES[1])
  minutes: number;

  /** Session effort from 0 (nothing at all) to 10 (maximal); `null` if not asked. */
  @OrNull()
  @IsInt()
  @Min(EFFORT[0])
  @Max(EFFORT[1])
  effort: number | null;

  /** Results in blocks with a score. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_BLOCKS)
  @ArrayUnique(({ blockId }: ScoreBody) => blockId)
  @ValidateNested({ each: true })
  @Type(() => ScoreBody)
  scores?: readonly ScoreBody[] | null;
}

/** Saves a session that took place, with everything in it. */
export class HeldSessionBody {
  @OrNull()
  @IsUUID()
  planId: string | null;

  @IsString()
  @Length(1, LONGEST_NAME)
  name: string;

  @IsDay()
  day: string;

  @IsMoment()
  startedAt: string;

  @IsMoment()
  endedAt: string;

  @IsArray()
  @ArrayMaxSize(MOST_HELD)
  @ValidateNested({ each: true })
  @Type(() => HeldBlockBody)
  blocks: readonly HeldBlockBody[];

  @IsArray()
  @ArrayMaxSize(MOST_PLANNED)
  @ArrayUnique(({ athleteId }: AttendedBody) => athleteId)
  @ValidateNested({ each: true })
  @Type(() => AttendedBody)
  attended: readonly AttendedBody[];
}

export class HeldSessionReply extends HeldSessionBody {
  @IsUUID()
  id: string;
}

/** A set that was timed during a session, by somebody who attended it. */
export class SessionSetReply extends CourseSetReply {
  @IsUUID()
  athleteId: string;
}
