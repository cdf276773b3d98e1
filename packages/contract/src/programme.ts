import { LONGEST_NAME } from '@orthokin/core/people';
import {
  HOME_MINUTES,
  LONGEST_WEEK_NOTE,
  MOST_PLANNED,
  MOST_WEEKS,
  THEMES,
  WEEK_KINDS,
  type Programme,
  type ProgrammeWeek,
  type Theme,
  type WeekKind,
} from '@orthokin/core/plan';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsIn,
  IsInt,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsDay } from './moment.js';
import { MAX_VERSION } from './paths.js';

export class ProgrammeWeekBody implements ProgrammeWeek {
  @IsIn(THEMES)
  theme: Theme;

  @IsIn(WEEK_KINDS)
  kind: WeekKind;

  @IsInt()
  @Min(HOME_MINUTES[0])
  @Max(HOME_MINUTES[1])
  homeMinutes: number;

  @IsString()
  @MaxLength(LONGEST_WEEK_NOTE)
  note: string;
}

/** Creates or changes a programme of several weeks, with everything in it. */
export class ProgrammeBody implements Programme {
  @IsString()
  @Length(1, LONGEST_NAME)
  name: string;

  /** A Monday. */
  @IsDay()
  startsOn: string;

  @IsArray()
  @ArrayMaxSize(MOST_PLANNED)
  @ArrayUnique()
  @IsUUID(undefined, { each: true })
  athleteIds: readonly string[];

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_WEEKS)
  @ValidateNested({ each: true })
  @Type(() => ProgrammeWeekBody)
  weeks: readonly ProgrammeWeekBody[];

  /** One more than the revision this was based on; refused if somebody else changed it meanwhile. */
  @IsInt()
  @Min(1)
  @Max(MAX_VERSION)
  revision: number;
}

export class ProgrammeReply extends ProgrammeBody {
  @IsUUID()
  id: string;
}
