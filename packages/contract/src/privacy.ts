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

/** That somebody saw or changed something private, on one day at one device. */
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

  /** Of everybody at once, as in a list or a file. */
  @IsBoolean()
  ofEverybody: boolean;

  @IsDay()
  day: string;

  @IsInt()
  times: number;

  @IsMoment()
  lastAt: string;
}

/** How long a club means to keep those who do not train any more. */
export class KeepingBody {
  /** `null`: nobody is reminded. */
  @OrNull()
  @IsInt()
  @Min(FEWEST_YEARS)
  @Max(MOST_YEARS)
  keepYears: number | null;
}

/** Somebody who has not trained for longer than the club means to keep them. */
export class OverdueReply {
  @IsUUID()
  athleteId: string;

  @IsString()
  name: string;

  /** When they trained last, or were added where they never did. */
  @IsDay()
  lastDay: string;
}

/** That somebody was erased: no name, so that it can be kept. */
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

/** What a club keeps of people, and what it has let go. */
export class PrivacyReply extends KeepingBody {
  @ValidateNested({ each: true })
  @Type(() => OverdueReply)
  overdue: OverdueReply[];

  /** The newest first. */
  @ValidateNested({ each: true })
  @Type(() => ErasureReply)
  erasures: ErasureReply[];
}

/** How somebody is erased; with all they have done where nothing is said. */
export class ErasureBody {
  @IsOptional()
  @IsIn(ERASURES)
  how?: Erasure | null;
}
