import { COLOUR_VISIONS, type ColourVision, type Side, SIDES } from '@orthokin/core/floor';
import type { Decision, Evidence } from '@orthokin/core/progress';
import { END_REASONS, type EndReason } from '@orthokin/core/run';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsDefined,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { AGE_BANDS, type AgeBand, LONGEST_NAME, LONGEST_ATHLETE_NOTE } from '@orthokin/core/people';
import { ClubBody } from './club.js';
import { AboutAthlete } from './person.js';
import { CareBody } from './care.js';
import { GroupBody } from './group.js';
import { HeldSessionReply } from './held-session.js';
import { HomePracticeReply } from './home-practice.js';
import { SessionNoteReply } from './session-note.js';
import { ProgrammeReply } from './programme.js';
import { PlanReply } from './plan.js';
import { SetNoteBody } from './course.js';
import { DrillSetBody, RepBody } from './drill.js';
import { LadderBody, OwnLadderBody } from './ladder-settings.js';
import { IsMoment } from './moment.js';
import { MAX_VERSION } from './paths.js';
import { PatternBody } from './pattern.js';
import { RungMoveBody } from './progress.js';
import { SimulatedAthleteBody } from './simulated-athlete.js';

export const CLUB_FORMAT = 'orthokin club';
/** In version 2 each list is a file of JSON lines; in version 1 all lists were in one JSON file. */
export const CLUB_FORMAT_VERSION = 2;
export const CLUB_FORMAT_VERSIONS = [1, CLUB_FORMAT_VERSION] as const;

/** Most versions of a pattern in a file. */
const MOST_VERSIONS = 1000;

export class ClubFileClub extends ClubBody {
  @IsUUID()
  clubId: string;
}

export class ClubFileAthlete extends AboutAthlete {
  @IsUUID()
  id: string;

  @IsString()
  @Length(1, LONGEST_NAME)
  name: string;

  @IsIn(SIDES)
  hand: Side;

  @IsIn(AGE_BANDS)
  ageBand: AgeBand;

  @IsIn(COLOUR_VISIONS)
  colourVision: ColourVision;

  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_ATHLETE_NOTE)
  note?: string | null;

  /** The pattern the athlete began with. */
  @IsUUID()
  patternId: string;

  /** When the athlete was archived. */
  @IsOptional()
  @IsMoment()
  archivedAt?: string | null;

  @IsOptional()
  @ValidateNested()
  @Type(() => SimulatedAthleteBody)
  simulated?: SimulatedAthleteBody | null;
}

export class ClubFileVersion {
  @IsInt()
  @Min(1)
  @Max(MAX_VERSION)
  version: number;

  @IsMoment()
  savedAt: string;

  @IsDefined()
  @ValidateNested()
  @Type(() => PatternBody)
  body: PatternBody;
}

export class ClubFilePattern {
  @IsUUID()
  id: string;

  @IsOptional()
  @IsMoment()
  archivedAt?: string | null;

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_VERSIONS)
  @ValidateNested({ each: true })
  @Type(() => ClubFileVersion)
  versions: ClubFileVersion[];
}

/** A set with how it ended. */
export class ClubFileSet extends DrillSetBody {
  @IsUUID()
  id: string;

  @IsOptional()
  @IsMoment()
  endedAt?: string | null;

  @IsOptional()
  @IsIn(END_REASONS)
  endReason?: EndReason | null;
}

export class ClubFileRep extends RepBody {
  @IsUUID()
  id: string;

  @IsUUID()
  setId: string;
}

/** A move, with the decision it followed or overruled and that decision's evidence. */
export class ClubFileMove extends RungMoveBody {
  @IsUUID()
  id: string;

  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_NAME)
  movedBy?: string | null;

  /** Kept for people to read; nothing is computed from it. */
  @IsOptional()
  @IsObject()
  decision?: Decision | null;

  @IsOptional()
  @IsObject()
  evidence?: Evidence | null;
}

export class ClubFileLadder extends LadderBody {
  @IsUUID()
  id: string;
}

export class ClubFileOwnLadder extends OwnLadderBody {
  @IsUUID()
  id: string;
}

export class ClubFileNote extends SetNoteBody {
  @IsUUID()
  id: string;

  @IsOptional()
  @IsMoment()
  removedAt?: string | null;
}

export class ClubFileCare extends CareBody {
  @IsUUID()
  id: string;
}

export class ClubFileGroup extends GroupBody {
  @IsUUID()
  id: string;
}

export class ClubFilePlan extends PlanReply {}

export class ClubFileProgramme extends ProgrammeReply {}

export class ClubFileSession extends HeldSessionReply {}

export class ClubFileSessionNote extends SessionNoteReply {}

export class ClubFileHomePractice extends HomePracticeReply {}

/** The head of a club's file. */
export class ClubFileHead {
  @Equals(CLUB_FORMAT)
  format: typeof CLUB_FORMAT;

  @IsIn(CLUB_FORMAT_VERSIONS)
  version: (typeof CLUB_FORMAT_VERSIONS)[number];

  @IsDefined()
  @ValidateNested()
  @Type(() => ClubFileClub)
  club: ClubFileClub;
}

/** The row class of each list, ordered so that rows only refer to lists before their own. */
export const CLUB_LISTS = {
  patterns: ClubFilePattern,
  athletes: ClubFileAthlete,
  sets: ClubFileSet,
  reps: ClubFileRep,
  moves: ClubFileMove,
  notes: ClubFileNote,
  ladders: ClubFileLadder,
  ownLadders: ClubFileOwnLadder,
  care: ClubFileCare,
  groups: ClubFileGroup,
  plans: ClubFilePlan,
  sessions: ClubFileSession,
  sessionNotes: ClubFileSessionNote,
  programmes: ClubFileProgramme,
  homePractice: ClubFileHomePractice,
} as const;

export type ClubList = keyof typeof CLUB_LISTS;
/** A row of a list, as the file has it. */
export type InList<List extends ClubList> = InstanceType<(typeof CLUB_LISTS)[List]>;
