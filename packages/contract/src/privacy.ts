import {
  ERASURES,
  KEEP_YEARS,
  PRIVATE_MATTERS,
  ROLES,
  TRAIL_DEEDS,
  type Erasure,
  type PrivateMatter,
  type Role,
  type TrailDeed,
} from '@orthokin/core/people';
import { Type } from 'class-transformer';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsDay, IsMoment } from './moment.js';
import { OrNull } from './or-null.js';

const [FEWEST_YEARS, MOST_YEARS] = KEEP_YEARS;

/** Somebody saw or changed something private on one day from one device. */
export class TrailEntryReply {
  @IsUUID()
  id: string;

  @IsString()
  name: string;

  @IsIn(ROLES)
  role: Role;

  @IsIn(PRIVATE_MATTERS)
  matter: PrivateMatter;

  @IsIn(TRAIL_DEEDS)
  deed: TrailDeed;

  /** Whether it concerned everybody, as in a list or a file. */
  @IsBoolean()
  ofEverybody: boolean;

  @IsDay()
  day: string;

  @IsInt()
  times: number;

  @IsMoment()
  lastAt: string;
}

/** How long a club wants to keep inactive athletes. */
export class KeepingBody {
  /** `null`: no limit, so nobody is listed. */
  @OrNull()
  @IsInt()
  @Min(FEWEST_YEARS)
  @Max(MOST_YEARS)
  keepYears: number | null;
}

/** An athlete who has been inactive for longer than the club wants to keep them. */
export class OverdueReply {
  @IsUUID()
  athleteId: string;

  @IsString()
  name: string;

  /** Their last activity, or when they were added if there was none. */
  @IsDay()
  lastDay: string;
}

/** A record of an erasure, without a name, so that it can be kept. */
export class ErasureReply {
  @IsUUID()
  id: string;

  @IsIn(ERASURES)
  how: Erasure;

  @IsInt()
  sets: number;

  @IsInt()
  reps: number;

  @IsString()
  by: string;

  @IsMoment()
  at: string;
}

/** What a club keeps about people, and whom it has erased. */
export class PrivacyReply extends KeepingBody {
  @ValidateNested({ each: true })
  @Type(() => OverdueReply)
  overdue: OverdueReply[];

  /** The newest first. */
  @ValidateNested({ each: true })
  @Type(() => ErasureReply)
  erasures: ErasureReply[];
}

/** How to erase somebody; by default with everything they did. */
export class ErasureBody {
  @IsOptional()
  @IsIn(ERASURES)
  how?: Erasure | null;
}
