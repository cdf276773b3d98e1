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

/** A question that somebody put to themselves, and whether it held. */
export class SelfCheckBody implements SelfCheck {
  @IsString()
  @Length(1, LONGEST_SELF_CHECK)
  ask: string;

  @IsBoolean()
  holds: boolean;
}

/** What somebody practised without the coach, as they wrote it down. */
export class HomePracticeBody {
  @IsUUID()
  athleteId: string;

  @IsDay()
  day: string;

  @IsInt()
  @Min(PRACTICE_MINUTES[0])
  @Max(PRACTICE_MINUTES[1])
  minutes: number;

  /** 0 nothing at all, 10 the most there is; `null` where it was not said. */
  @OrNull()
  @IsInt()
  @Min(EFFORT[0])
  @Max(EFFORT[1])
  effort: number | null;

  /** What they noticed; may be empty. */
  @IsString()
  @MaxLength(LONGEST_SESSION_NOTE)
  text: string;

  /** What they asked themselves; nothing where they asked nothing. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_SELF_CHECKS)
  @ValidateNested({ each: true })
  @Type(() => SelfCheckBody)
  checks?: SelfCheckBody[] | null;

  @IsMoment()
  writtenAt: string;

  /** Taken back; it can be put back. */
  @IsBoolean()
  removed: boolean;
}

export class HomePracticeReply extends HomePracticeBody {
  @IsUUID()
  id: string;
}
