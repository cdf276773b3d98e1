import { SIDES, type Side } from '@orthokin/core/floor';
import {
  AGREED_TO,
  AGREEMENT_WAYS,
  CARE_KINDS,
  LONGEST_CARE_NOTE,
  LONGEST_NAME,
  LONGEST_PHONE,
  MOST_A_DAY,
  MOST_CONTACTS,
  MOVES,
  READINESS_CHECKS,
  READINESS_RESULTS,
  RESTRICTION_KINDS,
  type AgreedTo,
  type Agreement,
  type AgreementWay,
  type CareKind,
  type Contact,
  type DoneToday,
  type Looked,
  type Move,
  type ReadinessCheck,
  type ReadinessResult,
  type Restriction,
  type RestrictionKind,
} from '@orthokin/core/people';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { FaultCountReply } from './club.js';
import { IsDateOfBirth, IsDay, IsMoment } from './moment.js';
import { OrNull } from './or-null.js';

/** Most reasons a single go-ahead can override: all checks and restrictions there are. */
const MOST_AGAINST = 40;

export class RestrictionBody implements Restriction {
  @IsIn(RESTRICTION_KINDS)
  kind: RestrictionKind;

  @OrNull()
  @IsIn(SIDES)
  leg: Side | null;

  @IsArray()
  @ArrayMaxSize(MOVES.length)
  @ArrayUnique()
  @IsIn(MOVES, { each: true })
  moves: Move[];

  @OrNull()
  @IsInt()
  @Min(1)
  @Max(MOST_A_DAY)
  most: number | null;

  @IsDay()
  from: string;

  @OrNull()
  @IsDay()
  until: string | null;

  @IsBoolean()
  clinician: boolean;

  /** The reason, and on whose word. */
  @IsString()
  @MaxLength(LONGEST_CARE_NOTE)
  note: string;
}

export class LookedBody implements Looked {
  @IsIn(READINESS_CHECKS)
  check: ReadinessCheck;

  @OrNull()
  @IsIn(SIDES)
  leg: Side | null;

  @IsIn(READINESS_RESULTS)
  result: ReadinessResult;

  @IsDay()
  day: string;
}

export class AgreementBody implements Agreement {
  @IsIn(AGREED_TO)
  to: AgreedTo;

  @IsDay()
  day: string;

  @OrNull()
  @IsDay()
  until: string | null;

  /** The guardian's name. */
  @IsString()
  @Length(1, LONGEST_NAME)
  guardian: string;

  @IsIn(AGREEMENT_WAYS)
  way: AgreementWay;
}

export class GoAheadBody {
  @IsUUID()
  patternId: string;

  @IsDay()
  day: string;

  /** What the go-ahead overrides: kinds of restriction, keys of checks, or `training` for an agreement. */
  @IsArray()
  @ArrayMaxSize(MOST_AGAINST)
  @ArrayUnique()
  @IsString({ each: true })
  @MinLength(1, { each: true })
  @MaxLength(LONGEST_NAME, { each: true })
  against: string[];

  /** Why the coach went ahead; empty if nothing was restricted. */
  @IsString()
  @MaxLength(LONGEST_CARE_NOTE)
  reason: string;
}

/** A withdrawn record; for a restriction, that it was lifted. */
export class TakenBack {
  @IsString()
  @Length(1, LONGEST_NAME)
  by: string;

  @IsMoment()
  at: string;
}

const onlyOf = (kind: CareKind): PropertyDecorator =>
  ValidateIf((said: CareBody, value: unknown) => said.kind === kind || value != null);

/** A care record. It is never changed, only withdrawn or restored. */
export class CareBody {
  @IsUUID()
  athleteId: string;

  @IsIn(CARE_KINDS)
  kind: CareKind;

  @onlyOf('restriction')
  @IsDefined()
  @ValidateNested()
  @Type(() => RestrictionBody)
  restriction?: RestrictionBody | null;

  @onlyOf('check')
  @IsDefined()
  @ValidateNested()
  @Type(() => LookedBody)
  check?: LookedBody | null;

  @onlyOf('agreement')
  @IsDefined()
  @ValidateNested()
  @Type(() => AgreementBody)
  agreement?: AgreementBody | null;

  @onlyOf('go-ahead')
  @IsDefined()
  @ValidateNested()
  @Type(() => GoAheadBody)
  goAhead?: GoAheadBody | null;

  /** Who recorded it. */
  @IsString()
  @Length(1, LONGEST_NAME)
  by: string;

  @IsMoment()
  at: string;

  /** Absent: unchanged, and not withdrawn when new. `null`: restored. */
  @IsOptional()
  @ValidateNested()
  @Type(() => TakenBack)
  takenBack?: TakenBack | null;
}

export class CareReply extends CareBody {
  @IsUUID()
  id: string;
}

export class ContactBody implements Contact {
  @IsString()
  @Length(1, LONGEST_NAME)
  name: string;

  @IsString()
  @MaxLength(LONGEST_NAME)
  who: string;

  @IsString()
  @Length(3, LONGEST_PHONE)
  phone: string;
}

/** Emergency contact, and what a helper must know. */
export class EmergencyBody {
  @IsArray()
  @ArrayMaxSize(MOST_CONTACTS)
  @ValidateNested({ each: true })
  @Type(() => ContactBody)
  contacts: ContactBody[];

  @IsString()
  @MaxLength(LONGEST_CARE_NOTE)
  note: string;
}

/** What an athlete did on their last training day. */
export class DayDoneReply implements DoneToday {
  @IsDay()
  day: string;

  @IsNumber()
  minutes: number;

  @IsInt()
  splits: number;
}

/** Everything to be mindful of in an athlete: records that were not withdrawn, oldest first. */
export class AthleteCareReply {
  @ValidateNested({ each: true })
  @Type(() => CareReply)
  said: CareReply[];

  @OrNull()
  @IsDateOfBirth()
  bornOn: string | null;

  @OrNull()
  @ValidateNested()
  @Type(() => EmergencyBody)
  emergency: EmergencyBody | null;

  /** Faults seen in recent weeks, most frequent first. */
  @ValidateNested({ each: true })
  @Type(() => FaultCountReply)
  faultsLately: FaultCountReply[];

  /** `null` before the first set. */
  @OrNull()
  @ValidateNested()
  @Type(() => DayDoneReply)
  lastDay: DayDoneReply | null;
}
