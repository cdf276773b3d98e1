import { Type } from 'class-transformer';
import { IsIn, IsInt, IsOptional, IsUUID, Matches, Max, Min } from 'class-validator';
import { SET_SOURCES, type SetSource } from '@orthokin/core/run';
import { ROOM, ROOM_RULE, SCREEN, SCREEN_RULE } from './room.js';

/** More often than this nobody saves a pattern. */
export const MAX_VERSION = 1_000_000;

/** What the paths of the API are made of. */
export class ClubPath {
  @IsUUID()
  clubId: string;
}

/** Of a club that may be new. */
export class NewClubPath {
  @IsUUID(7)
  clubId: string;
}

/** Of an athlete that may be new. */
export class NewAthletePath extends ClubPath {
  @IsUUID(7)
  athleteId: string;
}

export class AthletePath extends ClubPath {
  @IsUUID()
  athleteId: string;
}

/** Of a passkey of whoever asks. */
export class PasskeyPath {
  @IsUUID()
  passkeyId: string;
}

export class SetPath extends ClubPath {
  @IsUUID()
  setId: string;
}

/** Ids of what a client records are UUIDv7: made offline, in order of time, safe to send twice. */
export class NewSetPath extends ClubPath {
  @IsUUID(7)
  setId: string;
}

export class NewRepPath extends NewSetPath {
  @IsUUID(7)
  repId: string;
}

export class NewMovePath extends ClubPath {
  @IsUUID(7)
  moveId: string;
}

export class NewImportPath extends ClubPath {
  @IsUUID(7)
  importId: string;
}

export class NewNotePath extends ClubPath {
  @IsUUID(7)
  noteId: string;
}

export class NewCarePath extends ClubPath {
  @IsUUID(7)
  careId: string;
}

export class CarePath extends ClubPath {
  @IsUUID()
  careId: string;
}

export class NewGroupPath extends ClubPath {
  @IsUUID(7)
  groupId: string;
}

export class GroupPath extends ClubPath {
  @IsUUID()
  groupId: string;
}

export class NewPlanPath extends ClubPath {
  @IsUUID(7)
  planId: string;
}

export class PlanPath extends ClubPath {
  @IsUUID()
  planId: string;
}

export class NewProgrammePath extends ClubPath {
  @IsUUID(7)
  programmeId: string;
}

export class ProgrammePath extends ClubPath {
  @IsUUID()
  programmeId: string;
}

export class NewSessionPath extends ClubPath {
  @IsUUID(7)
  sessionId: string;
}

export class SessionPath extends ClubPath {
  @IsUUID()
  sessionId: string;
}

export class NewPracticePath extends ClubPath {
  @IsUUID(7)
  practiceId: string;
}

export class PatternPath extends ClubPath {
  @IsUUID()
  patternId: string;
}

export class AthletePatternPath extends PatternPath {
  @IsUUID()
  athleteId: string;
}

export class NewLadderPath extends ClubPath {
  @IsUUID(7)
  ladderId: string;
}

class VersionPath extends ClubPath {
  @Type(() => Number)
  @IsInt()
  @Min(1)
  @Max(MAX_VERSION)
  version: number;
}

export class PatternVersionPath extends VersionPath {
  @IsUUID()
  patternId: string;
}

export class NewPatternVersionPath extends VersionPath {
  @IsUUID(7)
  patternId: string;
}

export class DrillSetupQuery {
  /** Another pattern than the one the athlete is working on. */
  @IsOptional()
  @IsUUID()
  patternId?: string;
}

/** Sets of an athlete that may be pooled: one version, one source, one sense. */
export class PoolQuery {
  @IsUUID()
  patternId: string;

  @Type(() => Number)
  @IsInt()
  @Min(1)
  @Max(MAX_VERSION)
  patternVersion: number;

  @IsIn(SET_SOURCES)
  source: SetSource;

  @IsIn(['heard', 'seen'])
  sense: 'heard' | 'seen';
}

export class AccountPath extends ClubPath {
  @IsUUID()
  accountId: string;
}

export class NewInvitationPath extends ClubPath {
  @IsUUID(7)
  invitationId: string;
}

export class DevicePath extends ClubPath {
  @IsUUID()
  deviceId: string;
}

/** Of a screen that joined a drill or a session, as the others know it. */
export class ScreenPath extends ClubPath {
  @Matches(ROOM, { message: ROOM_RULE })
  room: string;

  @Matches(SCREEN, { message: SCREEN_RULE })
  screen: string;
}
