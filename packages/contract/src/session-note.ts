import { LONGEST_NAME, LONGEST_SESSION_NOTE } from '@orthokin/core/people';
import { FAULTS, type Fault } from '@orthokin/core/timing';
import { IsBoolean, IsIn, IsString, IsUUID, MaxLength } from 'class-validator';
import { IsDay, IsMoment } from './moment.js';
import { OrNull } from './or-null.js';

/** What was seen while a session went on, of one athlete or of everybody. */
export class SessionNoteBody {
  /** It may be said before the session is over, and kept. */
  @IsUUID()
  sessionId: string;

  @IsDay()
  day: string;

  /** `null`: everybody. */
  @OrNull()
  @IsUUID()
  athleteId: string | null;

  @OrNull()
  @IsIn(FAULTS)
  fault: Fault | null;

  /** May be empty where a fault says it. */
  @IsString()
  @MaxLength(LONGEST_SESSION_NOTE)
  text: string;

  @IsString()
  @MaxLength(LONGEST_NAME)
  writtenBy: string;

  @IsMoment()
  writtenAt: string;

  /** Taken back; it can be put back. */
  @IsBoolean()
  removed: boolean;
}

export class SessionNoteReply extends SessionNoteBody {
  @IsUUID()
  id: string;
}
