import { LONGEST_NAME, LONGEST_SESSION_NOTE } from '@orthokin/core/people';
import { FAULTS, type Fault } from '@orthokin/core/timing';
import { IsBoolean, IsIn, IsString, IsUUID, MaxLength } from 'class-validator';
import { IsDay, IsMoment } from './moment.js';
import { OrNull } from './or-null.js';

/** An observation during a session, about an athlete or everybody. */
export class SessionNoteBody {
  /** The session, which may not have been saved yet. */
  @IsUUID()
  sessionId: string;

  @IsDay()
  day: string;

  /** `null`: about everybody. */
  @OrNull()
  @IsUUID()
  athleteId: string | null;

  @OrNull()
  @IsIn(FAULTS)
  fault: Fault | null;

  /** May be empty if a fault is given. */
  @IsString()
  @MaxLength(LONGEST_SESSION_NOTE)
  text: string;

  @IsString()
  @MaxLength(LONGEST_NAME)
  writtenBy: string;

  @IsMoment()
  writtenAt: string;

  /** Withdrawn; can be restored. */
  @IsBoolean()
  removed: boolean;
}

export class SessionNoteReply extends SessionNoteBody {
  @IsUUID()
  id: string;
}
