import { LONGEST_DEVICE_NAME } from '@orthokin/core/people';
import { IsString, IsUUID, Length, Matches } from 'class-validator';
import { IsMoment } from './moment.js';

/** Bytes in WebAuthn's JSON form (base64url); the longest is the attestation of a new key. */
const BYTES = /^[\w-]{1,8192}$/;
const ONLY_BYTES = { message: 'must be 1 to 8192 characters of base64url' };

/** Options for creating a passkey. */
export class NewPasskeyReply {
  @IsString()
  challenge: string;

  /** The relying party id: the server's host name, outside which a passkey does not work. */
  @IsString()
  rpId: string;

  @IsString()
  userId: string;

  @IsString()
  userName: string;

  /** Passkeys the account already has; the device then makes no second one. */
  @IsString({ each: true })
  has: string[];
}

/** Options for signing in with a passkey. */
export class PasskeyQuestionReply {
  @IsString()
  challenge: string;

  @IsString()
  rpId: string;
}

/** A new passkey, from the browser's reply. */
export class PasskeyBody {
  /** Its name in the account's list. */
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

/** A browser's reply when signing in with a passkey. */
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

/** A passkey in an account's list. */
export class PasskeyReply {
  @IsUUID()
  id: string;

  @IsString()
  name: string;

  @IsMoment()
  madeAt: string;
}
