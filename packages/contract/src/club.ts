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

/** A fault as a club calls it. */
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

/** How often a fault was seen in the last weeks. */
export class FaultCountReply {
  @IsIn(FAULTS)
  fault: Fault;

  /** Reps it was seen in. */
  @IsInt()
  seen: number;
}

/** A club as it is begun, or called anew. */
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

  /** Faults in the club's own words; as they were where nothing is said. */
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

  /** Empty where nobody has said. */
  @IsString()
  sport: string;

  @IsIn(LENGTH_UNITS)
  unit: LengthUnit;

  @ValidateNested({ each: true })
  @Type(() => FaultWordsBody)
  faults: FaultWordsBody[];
}

/** Said by whoever takes a whole club away: its name, letter by letter. */
export class WipeBody {
  @IsString()
  @MaxLength(LONGEST_CLUB_NAME)
  name: string;
}
