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

/** What an invitation's link carries after its `#`, where no server's log writes it down. */
const TOKEN = /^[\w-]{43}$/;

/** Where sign-in is asked for: whether an address is known is never told. */
export class SignInBody {
  @IsString()
  @MaxLength(LONGEST_EMAIL)
  email: string;

  @IsString()
  @MaxLength(PASSWORD_LENGTH[1])
  password: string;
}

/** The first owner of a club that had none. */
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

/** Who the device that asks is signed in as. */
export class SignedInReply {
  @IsUUID()
  clubId: string;

  @IsIn(ROLES)
  role: Role;

  /** The person's, or the device's. */
  @IsString()
  name: string;

  /** `null` of a floor device, and of a device that only a link let in. */
  @OrNull()
  @IsUUID()
  accountId: string | null;

  /** Whose things it sees; `null` for everybody's. */
  @OrNull()
  @IsArray()
  @IsUUID(undefined, { each: true })
  athleteIds: string[] | null;
}

/** What the device that asks may open. */
export class MeReply {
  @OrNull()
  @ValidateNested()
  @Type(() => SignedInReply)
  signedIn: SignedInReply | null;

  /** Clubs that nobody needs to sign in to: of this machine, without an owner yet. */
  @ValidateNested({ each: true })
  @Type(() => ClubReply)
  open: ClubReply[];

  /** It is the machine that serves: it may begin clubs, and bring them in. */
  @IsBoolean()
  isThisMachine: boolean;

  /** There is a club here that asks who comes in; told to this machine alone. */
  @IsBoolean()
  hasOwned: boolean;

  /** The demo can be looked at as each role, at a press. */
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

/** What an owner changes of an account. */
export class AccountBody {
  @IsIn(PERSON_ROLES)
  role: PersonRole;

  /** Of an athlete's account: whose things it sees. */
  @IsArray()
  @ArrayMaxSize(MOST_OWN_ATHLETES)
  @ArrayUnique()
  @IsUUID(undefined, { each: true })
  athleteIds: string[];
}

export class InvitationBody extends AccountBody {
  /** Of whom it is for. */
  @IsString()
  @Length(1, LONGEST_NAME)
  name: string;

  /** It is mailed there as well; `null` where the link is handed over otherwise. */
  @OrNull()
  @IsEmail()
  @MaxLength(LONGEST_EMAIL)
  email: string | null;

  @IsInt()
  @Min(FEWEST_DAYS)
  @Max(MOST_DAYS)
  days: number;

  /** The account whose password it sets anew; `null` where it makes an account. */
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

  /** What its link ends in; given once, when it is made: nothing here could show it again. */
  @IsOptional()
  @IsString()
  token?: string;

  /** How other devices reach the server, as far as it knows; given with the token. */
  @IsOptional()
  @IsString()
  address?: string;
}

/** Whoever holds a link asks what it is for. */
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

  /** The address of the account whose password it sets anew; `null` where it makes one. */
  @OrNull()
  @IsString()
  resets: string | null;

  @IsMoment()
  until: string;
}

/** Takes an invitation up with an account of one's own, or, as an athlete, only on this device. */
export class AcceptBody extends TokenBody {
  @OrNull()
  @ValidateNested()
  @Type(() => OwnerBody)
  account: OwnerBody | null;
}

/** A device that is signed in. */
export class DeviceReply {
  @IsUUID()
  id: string;

  /** Of the person, or of the floor device. */
  @IsString()
  name: string;

  @IsIn(ROLES)
  role: Role;

  /** What browser and system it says it is. */
  @IsString()
  @MaxLength(LONGEST_DEVICE_NAME)
  device: string;

  @IsMoment()
  since: string;

  /** The one that asks. */
  @IsBoolean()
  isThis: boolean;
}

export class FloorDeviceBody {
  @IsString()
  @Length(1, LONGEST_DEVICE_NAME)
  name: string;
}
