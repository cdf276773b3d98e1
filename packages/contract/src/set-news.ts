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

/** A fault that has a key, with what the club calls it. */
export class KeyedFault {
  @IsIn(FAULTS)
  fault: Fault;

  @IsString()
  @MaxLength(LONGEST_NAME)
  name: string;
}

/** What a second screen must know of the set: told when it comes, and when a set begins. */
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

/** The last finished rep, for whoever stands away from the drill's screen; times in ms. */
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

  /** Why it does not count; `null` where it does. */
  @OrNull()
  @IsString()
  @MaxLength(60)
  leftOut: string | null;
}

/** How far the set is: told with every change. */
export class RunNews {
  @IsIn(RUN_STATES)
  state: RunState;

  @IsInt()
  @Min(0)
  ordinal: number;

  /** Cues of the set; 0 where it runs for a time. */
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

  /** Faults said of the rep going on, else of the last. */
  @IsArray()
  @ArrayMaxSize(MOST_FAULTS)
  @IsIn(FAULTS, { each: true })
  faults: Fault[];

  /** When a set that lasts a time is over, epoch ms on the drill screen's clock; else `null`. */
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

/** A cue and all that comes with it, on one clock, ms. */
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
