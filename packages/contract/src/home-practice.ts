import { LONGEST_SESSION_NOTE } from '@orthokin/core/people';
import { EFFORT, PRACTICE_MINUTES } from '@orthokin/core/plan';
import { IsBoolean, IsInt, IsString, IsUUID, Max, MaxLength, Min } from 'class-validator';
import { IsDay, IsMoment } from './moment.js';
import { OrNull } from './or-null.js';

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
