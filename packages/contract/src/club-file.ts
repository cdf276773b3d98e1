import { COLOUR_VISIONS, type ColourVision, type Side, SIDES } from '@orthokin/core/floor';
import type { Decision, Evidence } from '@orthokin/core/progress';
import { END_REASONS, type EndReason } from '@orthokin/core/run';
import type { SimulatedAthlete } from '@orthokin/core/simulation';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsDefined,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsPositive,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import {
  AGE_BANDS,
  type AgeBand,
  LONGEST_NAME,
  LONGEST_ATHLETE_NOTE,
  LONGEST_CLUB_NAME,
} from '@orthokin/core/people';
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
import { TravelBody } from './footwork.js';
import { LadderBody, OwnLadderBody } from './ladder-settings.js';
import { IsMoment } from './moment.js';
import { OrNull } from './or-null.js';
import { MAX_VERSION } from './paths.js';
import { PatternBody } from './pattern.js';
import { ProblemReply } from './problem.js';
import { RungMoveBody } from './progress.js';

export const CLUB_FORMAT = 'orthokin club';
/** Lists as lines of JSON, a file each; in version 1 they were all in one. */
export const CLUB_FORMAT_VERSION = 2;
export const CLUB_FORMAT_VERSIONS = [1, CLUB_FORMAT_VERSION] as const;

/** More often than this no pattern of a file was saved. */
const MOST_VERSIONS = 1000;

export class ClubFileClub extends ClubBody {
  @IsUUID()
  clubId: string;
}

class ReactionModelBody {
  @IsPositive()
  @Max(2000)
  muMs: number;

  @IsPositive()
  @Max(1000)
  sigmaMs: number;

  @IsNumber()
  @Min(0)
  @Max(2000)
  tauMs: number;
}

class LearningModelBody {
  @IsNumber()
  @Min(0)
  @Max(10)
  gain: number;

  @IsNumber()
  @Min(0)
  @Max(10)
  ratePerSession: number;
}

class WeakSideBody {
  @IsIn(SIDES)
  side: Side;

  @IsPositive()
  @Max(5)
  factor: number;
}

/** The numbers a simulated athlete plays with. */
export class SimulatedAthleteBody implements SimulatedAthlete {
  @IsDefined()
  @ValidateNested()
  @Type(() => ReactionModelBody)
  reaction: ReactionModelBody;

  @IsDefined()
  @ValidateNested()
  @Type(() => TravelBody)
  travel: TravelBody;

  @IsPositive()
  @Max(10_000)
  loadMs: number;

  @IsPositive()
  @Max(10_000)
  actionMs: number;

  @IsPositive()
  @Max(10)
  recoveryFactor: number;

  @IsDefined()
  @ValidateNested()
  @Type(() => LearningModelBody)
  learning: LearningModelBody;

  @IsNumber()
  @Min(-1)
  @Max(1)
  fadePerRep: number;

  @OrNull()
  @ValidateNested()
  @Type(() => WeakSideBody)
  weakSide: WeakSideBody | null;

  @IsNumber()
  @Min(0)
  @Max(1)
  falseStartShare: number;

  @IsOptional()
  @IsNumber()
  @Min(0)
  @Max(1)
  dayFormSd?: number;
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

  /** When the athlete was put away. */
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

/** A move with the decision it followed or overruled, and all that the decision follows from. */
export class ClubFileMove extends RungMoveBody {
  @IsUUID()
  id: string;

  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_NAME)
  movedBy?: string | null;

  /** Kept to be read by people: no rule is worked out from it again. */
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

/** The head of a club's file: what it is, and of which club. */
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

/** What each list of a club's file is made of, in an order in which nothing names what comes later. */
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

/** Said by whoever takes a whole club away: its name, letter by letter. */
export class WipeBody {
  @IsString()
  @MaxLength(LONGEST_CLUB_NAME)
  name: string;
}

const MOST_SETS = 400;
const MOST_REPS = 500;

export class ImportRep {
  @IsUUID(7)
  id: string;

  @IsDefined()
  @ValidateNested()
  @Type(() => RepBody)
  body: RepBody;
}

export class ImportSet {
  @IsUUID(7)
  id: string;

  @IsDefined()
  @ValidateNested()
  @Type(() => DrillSetBody)
  body: DrillSetBody;

  @IsMoment()
  endedAt: string;

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_REPS)
  @ValidateNested({ each: true })
  @Type(() => ImportRep)
  reps: ImportRep[];
}

/** Sets timed elsewhere: all of them are looked at before the first is stored. */
export class ImportBody {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_SETS)
  @ValidateNested({ each: true })
  @Type(() => ImportSet)
  sets: ImportSet[];
}

export const IMPORT_STATES = ['waiting', 'storing', 'stored', 'refused', 'given up'] as const;
export type ImportState = (typeof IMPORT_STATES)[number];

/** How far an import is: it goes on by itself, also when the server is started anew. */
export class ImportReply {
  @IsUUID()
  id: string;

  @IsIn(IMPORT_STATES)
  state: ImportState;

  /** All of it, and how many of the sets are stored. */
  @IsInt()
  sets: number;

  @IsInt()
  reps: number;

  @IsInt()
  done: number;

  /** What could not be stored, of an import that was refused. */
  @ValidateNested({ each: true })
  @Type(() => ProblemReply)
  problems: ProblemReply[];
}
