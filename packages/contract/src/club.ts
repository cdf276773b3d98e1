import { LONGEST_CLUB_NAME, LONGEST_SPORT } from '@orthokin/core/people';
import { LENGTH_UNITS, type LengthUnit } from '@orthokin/core/floor';
import { IsIn, IsOptional, IsString, IsUUID, Length, MaxLength } from 'class-validator';

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
}
