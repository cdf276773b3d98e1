import {
  INVITATION_DAYS,
  LONGEST_CLUB_NAME,
  LONGEST_DEVICE_NAME,
  LONGEST_EMAIL,
  LONGEST_NAME,
  MOST_OWN_ATHLETES,
  PASSWORD_LENGTH,
  PERSON_ROLES,
  ROLES,
  type PersonRole,
  type Role,
} from '@orthokin/core/people';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsEmail,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { ClubReply } from './club.js';
import { IsMoment } from './moment.js';
import { OrNull } from './or-null.js';

const [FEWEST_DAYS, , MOST_DAYS] = INVITATION_DAYS;

/** The token after the `#` of an invitation's link, which browsers do not send to servers. */
const TOKEN = /^[\w-]{43}$/;

/** Signs in by password; the reply never tells whether the address is known. */
export class SignInBody {
  @IsString()
  @MaxLength(LONGEST_EMAIL)
  email: string;

  @IsString()
  @MaxLength(PASSWORD_LENGTH[1])
  password: string;
}

/** The first owner of a club that has none. */
export class OwnerBody {
  @IsString()
  @Length(1, LONGEST_NAME)
  name: string;

  @IsEmail()
  @MaxLength(LONGEST_EMAIL)
  email: string;

  @IsString()
  @Length(...PASSWORD_LENGTH)
  password: string;
}

export class PasswordBody {
  @IsString()
  @MaxLength(PASSWORD_LENGTH[1])
  before: string;

  @IsString()
  @Length(...PASSWORD_LENGTH)
  password: string;
}

/** Who the asking device is signed in as. */
export class SignedInReply {
  @IsUUID()
  clubId: string;

  @IsIn(ROLES)
  role: Role;

  /** The person's name, or the shared device's. */
  @IsString()
  name: string;

  /** `null` for a club's shared device, and for a device let in by an invitation alone. */
  @OrNull()
  @IsUUID()
  accountId: string | null;

  /** The athletes it may see; `null`: all. */
  @OrNull()
  @IsArray()
  @IsUUID(undefined, { each: true })
  athleteIds: string[] | null;
}

/** Who the asking device is, and what it may open. */
export class MeReply {
  @OrNull()
  @ValidateNested()
  @Type(() => SignedInReply)
  signedIn: SignedInReply | null;

  /** Clubs that need no sign-in: at the server's own machine, those without an owner. */
  @ValidateNested({ each: true })
  @Type(() => ClubReply)
  open: ClubReply[];

  /** Whether this is the server's own machine, which may create and import clubs. */
  @IsBoolean()
  isThisMachine: boolean;

  /** Whether some club here has accounts; only told to the server's own machine. */
  @IsBoolean()
  hasOwned: boolean;

  /** Whether the demo can be tried in each role. */
  @IsBoolean()
  canTryRoles: boolean;
}

export class TryRoleBody {
  @IsIn(ROLES)
  role: Role;
}

/** A person's account as owners see it. */
export class AccountReply {
  @IsUUID()
  id: string;

  @IsString()
  name: string;

  @IsString()
  email: string;

  @IsIn(PERSON_ROLES)
  role: PersonRole;

  @IsArray()
  @IsUUID(undefined, { each: true })
  athleteIds: string[];
}

/** An owner's changes to an account. */
export class AccountBody {
  @IsIn(PERSON_ROLES)
  role: PersonRole;

  /** For an athlete's account: the athletes it may see. */
  @IsArray()
  @ArrayMaxSize(MOST_OWN_ATHLETES)
  @ArrayUnique()
  @IsUUID(undefined, { each: true })
  athleteIds: string[];
}

export class InvitationBody extends AccountBody {
  /** The invited person's name. */
  @IsString()
  @Length(1, LONGEST_NAME)
  name: string;

  /** Where the invitation is mailed; `null` if the link is handed over in another way. */
  @OrNull()
  @IsEmail()
  @MaxLength(LONGEST_EMAIL)
  email: string | null;

  @IsInt()
  @Min(FEWEST_DAYS)
  @Max(MOST_DAYS)
  days: number;

  /** The account whose password it resets; `null` for a new account. */
  @OrNull()
  @IsUUID()
  accountId: string | null;
}

export class InvitationReply {
  @IsUUID()
  id: string;

  @IsString()
  name: string;

  @IsIn(PERSON_ROLES)
  role: PersonRole;

  @IsArray()
  @IsUUID(undefined, { each: true })
  athleteIds: string[];

  @OrNull()
  @IsUUID()
  accountId: string | null;

  @IsMoment()
  until: string;

  /** The token of its link. Only in the reply that creates it: the server stores a hash. */
  @IsOptional()
  @IsString()
  token?: string;

  /** Addresses under which other devices reach the server, as far as known; together with the token. */
  @IsOptional()
  @IsString()
  address?: string;
}

/** Asks what an invitation is for. */
export class TokenBody {
  @Matches(TOKEN, { message: 'token must be the 43 characters that the link ends in' })
  token: string;
}

export class InvitedReply {
  @IsString()
  @MaxLength(LONGEST_CLUB_NAME)
  club: string;

  @IsString()
  name: string;

  @IsIn(PERSON_ROLES)
  role: PersonRole;

  /** The email address of the account whose password it resets; `null` for a new account. */
  @OrNull()
  @IsString()
  resets: string | null;

  @IsMoment()
  until: string;
}

/** Accepts an invitation: with a new account, or, for an athlete, for this device only. */
export class AcceptBody extends TokenBody {
  @OrNull()
  @ValidateNested()
  @Type(() => OwnerBody)
  account: OwnerBody | null;
}

/** A signed-in device. */
export class DeviceReply {
  @IsUUID()
  id: string;

  /** The person's name, or the shared device's. */
  @IsString()
  name: string;

  @IsIn(ROLES)
  role: Role;

  /** Browser and system. */
  @IsString()
  @MaxLength(LONGEST_DEVICE_NAME)
  device: string;

  @IsMoment()
  since: string;

  /** Whether it is the device that asks. */
  @IsBoolean()
  isThis: boolean;
}

export class FloorDeviceBody {
  @IsString()
  @Length(1, LONGEST_DEVICE_NAME)
  name: string;
}
