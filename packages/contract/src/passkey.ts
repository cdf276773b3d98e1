import { LONGEST_DEVICE_NAME } from '@orthokin/core/people';
import { IsString, IsUUID, Length, Matches } from 'class-validator';
import { IsMoment } from './moment.js';

/** Bytes as WebAuthn's own JSON has them (base64url); the longest is what attests a new key. */
const BYTES = /^[\w-]{1,8192}$/;
const ONLY_BYTES = { message: 'must be 1 to 8192 characters of base64url' };

/** What a device is asked to make a passkey with. */
export class NewPasskeyReply {
  @IsString()
  challenge: string;

  /** The name this server is reached by: a passkey is good there and nowhere else. */
  @IsString()
  rpId: string;

  @IsString()
  userId: string;

  @IsString()
  userName: string;

  /** Those the account has already: one more on the same device is none. */
  @IsString({ each: true })
  has: string[];
}

/** What a device is asked to sign in with. */
export class PasskeyQuestionReply {
  @IsString()
  challenge: string;

  @IsString()
  rpId: string;
}

/** A passkey as a device made it. */
export class PasskeyBody {
  /** What it is called in the account's list. */
  @IsString()
  @Length(1, LONGEST_DEVICE_NAME)
  name: string;

  @Matches(BYTES, ONLY_BYTES)
  credentialId: string;

  @Matches(BYTES, ONLY_BYTES)
  clientDataJSON: string;

  @Matches(BYTES, ONLY_BYTES)
  attestationObject: string;
}

/** What a device answers by a passkey. */
export class PasskeyAnswerBody {
  @Matches(BYTES, ONLY_BYTES)
  credentialId: string;

  @Matches(BYTES, ONLY_BYTES)
  clientDataJSON: string;

  @Matches(BYTES, ONLY_BYTES)
  authenticatorData: string;

  @Matches(BYTES, ONLY_BYTES)
  signature: string;
}

/** A passkey of an account. */
export class PasskeyReply {
  @IsUUID()
  id: string;

  @IsString()
  name: string;

  @IsMoment()
  madeAt: string;
}
