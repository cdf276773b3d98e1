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

/** Most that a single go-ahead goes ahead against: every check and every restriction there is. */
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

  /** Why, and on whose word. */
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

  /** What stood against it: kinds of restriction, keys of checks, `training` for an agreement. */
  @IsArray()
  @ArrayMaxSize(MOST_AGAINST)
  @ArrayUnique()
  @IsString({ each: true })
  @MinLength(1, { each: true })
  @MaxLength(LONGEST_NAME, { each: true })
  against: string[];

  /** Why the coach went ahead; empty where nothing was restricted. */
  @IsString()
  @MaxLength(LONGEST_CARE_NOTE)
  reason: string;
}

/** Taken back: of a restriction, that it was lifted. */
export class TakenBack {
  @IsString()
  @Length(1, LONGEST_NAME)
  by: string;

  @IsMoment()
  at: string;
}

const onlyOf = (kind: CareKind): PropertyDecorator =>
  ValidateIf((said: CareBody, value: unknown) => said.kind === kind || value != null);

/** Something said of somebody's care: it stays as it was said, and can be taken back. */
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

  /** Who said so. */
  @IsString()
  @Length(1, LONGEST_NAME)
  by: string;

  @IsMoment()
  at: string;

  /** Absent: as it stands, at first not taken back. `null`: put back. */
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

/** Who to call, and what a helper must know. */
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

/** What an athlete did on the newest day they trained. */
export class DayDoneReply implements DoneToday {
  @IsDay()
  day: string;

  @IsNumber()
  minutes: number;

  @IsInt()
  splits: number;
}

/** What is to be minded of an athlete: all that was said and not taken back, oldest first. */
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

  /** What was seen in the last weeks, the most often first. */
  @ValidateNested({ each: true })
  @Type(() => FaultCountReply)
  faultsLately: FaultCountReply[];

  /** `null` before the first set. */
  @OrNull()
  @ValidateNested()
  @Type(() => DayDoneReply)
  lastDay: DayDoneReply | null;
}
