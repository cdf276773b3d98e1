import { Type } from 'class-transformer';
import { IsIn, IsInt, IsOptional, IsUUID, Matches, Max, Min } from 'class-validator';
import { SET_SOURCES, type SetSource } from '@orthokin/core/run';
import { ROOM, ROOM_RULE, SCREEN, SCREEN_RULE } from './room.js';

/** Far more versions than anybody saves. */
export const MAX_VERSION = 1_000_000;

/** The path of something in a club; most other paths extend it. */
export class ClubPath {
  @IsUUID()
  clubId: string;
}

/** The club may not exist yet. */
export class NewClubPath {
  @IsUUID(7)
  clubId: string;
}

/** The athlete may not exist yet. */
export class NewAthletePath extends ClubPath {
  @IsUUID(7)
  athleteId: string;
}

export class AthletePath extends ClubPath {
  @IsUUID()
  athleteId: string;
}

/** A passkey of the signed-in account. */
export class PasskeyPath {
  @IsUUID()
  passkeyId: string;
}

export class SetPath extends ClubPath {
  @IsUUID()
  setId: string;
}

/** Ids of recorded things are UUIDv7: created offline, ordered by time, safe to send twice. */
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
  /** A pattern other than the one the athlete is working on. */
  @IsOptional()
  @IsUUID()
  patternId?: string;
}

/** Selects an athlete's sets that may be pooled: one version, one source, one sense. */
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

/** A joined screen's public id. */
export class ScreenPath extends ClubPath {
  @Matches(ROOM, { message: ROOM_RULE })
  room: string;

  @Matches(SCREEN, { message: SCREEN_RULE })
  screen: string;
}
