import { Type } from 'class-transformer';
import { IsBoolean, IsInt, IsUUID, Min, ValidateNested } from 'class-validator';
import { IsMoment } from './moment.js';
import { PatternBody } from './pattern.js';

/** A version of a pattern. Sets refer to the version they were timed on. */
export class PatternReply extends PatternBody {
  @IsUUID()
  id: string;

  @IsInt()
  @Min(1)
  version: number;
}

/** A pattern in the library: its newest version, for a thumbnail. */
export class PatternLineReply {
  @IsUUID()
  id: string;

  @IsInt()
  version: number;

  @IsMoment()
  savedAt: string;

  @IsBoolean()
  archived: boolean;

  /** Sets timed on any of its versions. */
  @IsInt()
  sets: number;

  @ValidateNested()
  @Type(() => PatternBody)
  pattern: PatternBody;
}

export class ArchivedBody {
  @IsBoolean()
  archived: boolean;
}
