import {
  LATE_COLOURS,
  LATE_KINDS,
  LATE_SIDES,
  type LateCue,
  type LateKind,
} from '@orthokin/core/cue';
import { CUE_KINDS, type CueKind } from '@orthokin/core/drill';
import { MAX_TARGETS } from '@orthokin/core/pattern';
import { LONGEST_NAME } from '@orthokin/core/people';
import { RUN_STATES, type RunState } from '@orthokin/core/run';
import { EVENT_NAMES, FAULTS, type EventName, type Fault } from '@orthokin/core/timing';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  IsUUID,
  Matches,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { CAPITAL, EACH_CAPITAL, ONE_CAPITAL, TargetBody } from './floor.js';
import { OrNull } from './or-null.js';

const MOST_FAULTS = FAULTS.length;

/** A fault with a key on the panel, in the club's words. */
export class KeyedFault {
  @IsIn(FAULTS)
  fault: Fault;

  @IsString()
  @MaxLength(LONGEST_NAME)
  name: string;
}

/** What a second screen has to know about a set; sent when it joins, and when a set begins. */
export class SetNews {
  @IsUUID()
  setId: string;

  @IsUUID()
  clubId: string;

  @IsString()
  @MaxLength(200)
  athlete: string;

  @IsString()
  @MaxLength(200)
  pattern: string;

  @IsArray()
  @ArrayMaxSize(MAX_TARGETS)
  @ValidateNested({ each: true })
  @Type(() => TargetBody)
  targets: TargetBody[];

  @IsArray()
  @ArrayMaxSize(MAX_TARGETS)
  @Matches(CAPITAL, EACH_CAPITAL)
  inPlay: string[];

  @IsArray()
  @ArrayMaxSize(CUE_KINDS.length)
  @IsIn(CUE_KINDS, { each: true })
  cueKinds: CueKind[];

  @IsBoolean()
  isCalled: boolean;

  @IsBoolean()
  isByHand: boolean;

  @IsArray()
  @ArrayMaxSize(MOST_FAULTS)
  @ValidateNested({ each: true })
  @Type(() => KeyedFault)
  faults: KeyedFault[];
}

/** The last finished rep, for people away from the drill's screen; times in ms. */
export class LastRepNews {
  @IsInt()
  @Min(0)
  ordinal: number;

  @Matches(CAPITAL, ONE_CAPITAL)
  letter: string;

  @OrNull()
  @IsNumber()
  reactionMs: number | null;

  @OrNull()
  @IsNumber()
  recoveryMs: number | null;

  /** Why it does not count; `null` if it does. */
  @OrNull()
  @IsString()
  @MaxLength(60)
  leftOut: string | null;
}

/** A set's progress, sent on every change. */
export class RunNews {
  @IsIn(RUN_STATES)
  state: RunState;

  @IsInt()
  @Min(0)
  ordinal: number;

  /** Number of cues; 0 if the set runs for a time. */
  @IsInt()
  @Min(0)
  reps: number;

  @IsInt()
  @Min(0)
  finished: number;

  @IsArray()
  @ArrayMaxSize(EVENT_NAMES.length)
  @IsIn(EVENT_NAMES, { each: true })
  openEvents: EventName[];

  /** Faults reported for the current rep, or else the last. */
  @IsArray()
  @ArrayMaxSize(MOST_FAULTS)
  @IsIn(FAULTS, { each: true })
  faults: Fault[];

  /** When a timed set ends, epoch ms on the drill screen's clock; else `null`. */
  @OrNull()
  @IsNumber()
  endsAtMs: number | null;

  @OrNull()
  @IsDefined()
  @ValidateNested()
  @Type(() => LastRepNews)
  last: LastRepNews | null;
}

class SwitchComing {
  @Matches(CAPITAL, ONE_CAPITAL)
  letter: string;

  @IsNumber()
  atMs: number;
}

class LateShown implements LateCue {
  @IsIn(LATE_KINDS)
  kind: LateKind;

  @IsIn([...LATE_COLOURS, ...LATE_SIDES])
  show: LateCue['show'];
}

class LateComing {
  @IsDefined()
  @ValidateNested()
  @Type(() => LateShown)
  late: LateShown;

  @IsNumber()
  fromMs: number;

  @IsNumber()
  untilMs: number;
}

/** A cue with everything shown and sounded with it, on one clock, ms. */
export class Presentation {
  @Matches(CAPITAL, ONE_CAPITAL)
  letter: string;

  @IsNumber()
  dueMs: number;

  @OrNull()
  @IsDefined()
  @ValidateNested()
  @Type(() => SwitchComing)
  switchTo: SwitchComing | null;

  @OrNull()
  @IsNumber()
  freezeMs: number | null;

  @OrNull()
  @IsDefined()
  @ValidateNested()
  @Type(() => LateComing)
  late: LateComing | null;
}
