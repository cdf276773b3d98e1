import { LONGEST_CLUB_NAME, LONGEST_SPORT } from '@orthokin/core/people';
import { LENGTH_UNITS, type LengthUnit } from '@orthokin/core/floor';
import {
  FAULTS,
  LONGEST_FAULT_NAME,
  LONGEST_FAULT_WORDS,
  SEEN_FAULTS,
  type Fault,
  type FaultWords,
} from '@orthokin/core/timing';
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
  MaxLength,
  ValidateNested,
} from 'class-validator';

/** A fault in a club's own words. */
export class FaultWordsBody implements FaultWords {
  @IsIn(SEEN_FAULTS)
  fault: Fault;

  @IsString()
  @MaxLength(LONGEST_FAULT_NAME)
  name: string;

  @IsString()
  @MaxLength(LONGEST_FAULT_WORDS)
  say: string;

  @IsString()
  @MaxLength(LONGEST_FAULT_WORDS)
  mend: string;
}

/** How often a fault was seen in recent weeks. */
export class FaultCountReply {
  @IsIn(FAULTS)
  fault: Fault;

  /** Number of reps it was seen in. */
  @IsInt()
  seen: number;
}

/** Creates or changes a club. */
export class ClubBody {
  @IsString()
  @Length(1, LONGEST_CLUB_NAME)
  name: string;

  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_SPORT)
  sport?: string | null;

  @IsOptional()
  @IsIn(LENGTH_UNITS)
  unit?: LengthUnit | null;

  /** The club's own faults; absent: unchanged. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(SEEN_FAULTS.length)
  @ArrayUnique(({ fault }: FaultWordsBody) => fault)
  @ValidateNested({ each: true })
  @Type(() => FaultWordsBody)
  faults?: FaultWordsBody[] | null;
}

export class ClubReply {
  @IsUUID()
  clubId: string;

  @IsString()
  name: string;

  /** Empty if unknown. */
  @IsString()
  sport: string;

  @IsIn(LENGTH_UNITS)
  unit: LengthUnit;

  @ValidateNested({ each: true })
  @Type(() => FaultWordsBody)
  faults: FaultWordsBody[];
}

/** Confirms deleting a club: its exact name. */
export class WipeBody {
  @IsString()
  @MaxLength(LONGEST_CLUB_NAME)
  name: string;
}
