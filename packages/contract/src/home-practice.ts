import { LONGEST_SESSION_NOTE } from '@orthokin/core/people';
import {
  EFFORT,
  LONGEST_SELF_CHECK,
  MOST_SELF_CHECKS,
  PRACTICE_MINUTES,
  type SelfCheck,
} from '@orthokin/core/plan';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
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
import { IsDay, IsMoment } from './moment.js';
import { OrNull } from './or-null.js';

/** A question an athlete asked themselves, and whether it held. */
export class SelfCheckBody implements SelfCheck {
  @IsString()
  @Length(1, LONGEST_SELF_CHECK)
  ask: string;

  @IsBoolean()
  holds: boolean;
}

/** Practice without the coach, as the athlete recorded it. */
export class HomePracticeBody {
  @IsUUID()
  athleteId: string;

  @IsDay()
  day: string;

  @IsInt()
  @Min(PRACTICE_MINUTES[0])
  @Max(PRACTICE_MINUTES[1])
  minutes: number;

  /** Effort from 0 (nothing at all) to 10 (maximal); `null` if not said. */
  @OrNull()
  @IsInt()
  @Min(EFFORT[0])
  @Max(EFFORT[1])
  effort: number | null;

  /** Observations; may be empty. */
  @IsString()
  @MaxLength(LONGEST_SESSION_NOTE)
  text: string;

  /** Self-checks; absent if there were none. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_SELF_CHECKS)
  @ValidateNested({ each: true })
  @Type(() => SelfCheckBody)
  checks?: SelfCheckBody[] | null;

  @IsMoment()
  writtenAt: string;

  /** Withdrawn; can be restored. */
  @IsBoolean()
  removed: boolean;
}

export class HomePracticeReply extends HomePracticeBody {
  @IsUUID()
  id: string;
}
