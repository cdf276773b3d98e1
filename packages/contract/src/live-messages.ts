import {
  LATE_COLOURS,
  LATE_KINDS,
  LATE_SIDES,
  type LateCue,
  type LateKind,
} from '@orthokin/core/cue';
import { CUE_KINDS, type CueKind } from '@orthokin/core/drill';
import { MAX_TARGETS } from '@orthokin/core/pattern';
import { wrong, type Result } from '@orthokin/core/result';
import { LONGEST_NAME } from '@orthokin/core/people';
import { RUN_STATES, type RunState } from '@orthokin/core/run';
import { EVENT_NAMES, FAULTS, MAX_SD_MS, type EventName, type Fault } from '@orthokin/core/timing';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { AtStation, BoardNews } from './board-news.js';
import { CAPITAL, TargetBody } from './floor.js';
import { OrNull } from './or-null.js';
import { LIVE_ROLES, type LiveRole } from './live.js';
import { frameOf, objectOf, readAs } from './read-frame.js';

export { isHolder, mayTell } from './live.js';
export {
  AtStation,
  BoardNews,
  HelperNews,
  LONGEST_ON_BOARD,
  MOST_ON_BOARD,
  StationNews,
  TimedNews,
} from './board-news.js';

const LETTER = { message: 'letter must be one capital letter' };
const MOST_FAULTS = FAULTS.length;

/** Nothing more to say than the message's name. */
// oxlint-disable-next-line typescript/no-extraneous-class -- a body without fields is read like any other
export class NothingMore {}

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
  @Matches(CAPITAL, { each: true, message: 'each of inPlay must be one capital letter' })
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

  @Matches(CAPITAL, LETTER)
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
  @Matches(CAPITAL, LETTER)
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
  @Matches(CAPITAL, LETTER)
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

/** A caller calls a target. */
export class Call {
  @Matches(CAPITAL, LETTER)
  letter: string;
}

const SIMPLE_ACTS = ['pause', 'goOn', 'redo', 'strike'] as const;

/** A panel asks for what needs no more than its name. */
export class SimpleAsk {
  @IsIn(SIMPLE_ACTS)
  act: (typeof SIMPLE_ACTS)[number];
}

/** A panel says a fault. */
export class FaultAsk {
  @Equals('fault')
  act: 'fault';

  @IsIn(FAULTS)
  fault: Fault;
}

/** A panel presses an event, timed on the drill screen's clock, epoch ms. */
export class PressAsk {
  @Equals('press')
  act: 'press';

  @IsIn(EVENT_NAMES)
  name: EventName;

  @IsNumber()
  atMs: number;

  @Min(0)
  @Max(MAX_SD_MS)
  sdMs: number;
}

/** What a panel asks the drill's screen to do. */
export type Ask = SimpleAsk | FaultAsk | PressAsk;

/** Asks a screen for its time: when it was sent, on the asker's clock, epoch ms. */
export class ClockQuestion {
  @IsNumber()
  sent: number;
}

/** The answer: the question, and when it was received and replied on the answerer's clock. */
export class ClockReading extends ClockQuestion {
  @IsNumber()
  remoteReceived: number;

  @IsNumber()
  remoteReplied: number;
}

/** Longer no description of two screens' way to each other is; it must fit into one message. */
const LONGEST_SDP = 5000;

/** How a screen is reached without the server, as browsers describe it to each other. */
export class DirectNews {
  @IsIn(['offer', 'answer'])
  kind: 'offer' | 'answer';

  @IsString()
  @MaxLength(LONGEST_SDP)
  sdp: string;
}

/** Something told straight from screen to screen: who tells it is known by the way it comes. */
export class DirectTold {
  @IsString()
  @MaxLength(40)
  type: string;

  @IsObject()
  body: object;
}

/** What screens of a room tell each other, by name. */
export interface LiveMessages {
  /** A screen is there; whoever hears it tells it what it must know. */
  readonly here: NothingMore;
  readonly set: SetNews;
  readonly run: RunNews;
  readonly coming: Presentation;
  /** What was announced, and what is shown, is over. */
  readonly clear: NothingMore;
  /** The set is over. */
  readonly over: NothingMore;
  readonly call: Call;
  readonly ask: Ask;
  readonly board: BoardNews;
  readonly at: AtStation;
  /** How two screens find each other for when the server is gone. */
  readonly direct: DirectNews;
  readonly 'clock?': ClockQuestion;
  readonly clock: ClockReading;
}
export type LiveMessageName = keyof LiveMessages;

const READERS: {
  readonly [Name in LiveMessageName]: (body: object) => Result<LiveMessages[Name]>;
} = {
  here: readAs(NothingMore),
  set: readAs(SetNews),
  run: readAs(RunNews),
  coming: readAs(Presentation),
  clear: readAs(NothingMore),
  over: readAs(NothingMore),
  call: readAs(Call),
  ask: (body) => {
    const { act } = body as { act?: unknown };
    if (act === 'press') return readAs(PressAsk)(body);
    return act === 'fault' ? readAs(FaultAsk)(body) : readAs(SimpleAsk)(body);
  },
  board: readAs(BoardNews),
  at: readAs(AtStation),
  direct: readAs(DirectNews),
  'clock?': readAs(ClockQuestion),
  clock: readAs(ClockReading),
};

export const isLiveMessage = (name: string): name is LiveMessageName =>
  Object.hasOwn(READERS, name);

/** Reads what was told under a name, or says which field is wrong. Fields it does not know it lets be. */
export const readLiveMessage = <Name extends LiveMessageName>(
  name: Name,
  body: object,
): Result<LiveMessages[Name]> => READERS[name](body);

class OfScreen {
  @IsString()
  @MaxLength(64)
  from: string;

  @IsIn(LIVE_ROLES)
  role: LiveRole;
}

/** Something told; its body is still to be read by its name. */
export class ToldNews extends OfScreen {
  @Equals('told')
  event: 'told';

  @IsString()
  @MaxLength(40)
  type: string;

  @IsObject()
  body: object;
}

/** A screen came, or went. */
export class PresenceNews extends OfScreen {
  @IsIn(['came', 'went'])
  event: 'came' | 'went';
}

/** What this screen said was not understood. */
export class RefusedNews {
  @Equals('refused')
  event: 'refused';

  @IsString()
  field: string;

  @IsString()
  given: string;

  @IsString()
  allowed: string;
}

/** A frame to a screen: something told, somebody who came or went, or a refusal. */
export type LiveNews = ToldNews | PresenceNews | RefusedNews;

const NEWS = { told: ToldNews, came: PresenceNews, went: PresenceNews, refused: RefusedNews };

/** Reads a frame of the live channel, or says which field is wrong. */
export function readLiveNews(text: string): Result<LiveNews> {
  const given = objectOf(text);
  if (!given.ok) return given;
  const frame = frameOf<LiveNews>(NEWS, 'event', given.value);
  return frame ?? wrong('event', given.value['event'], Object.keys(NEWS).join(', '));
}

/** Reads what was told straight from screen to screen, or says which field is wrong. */
export function readDirectTold(text: string): Result<DirectTold> {
  const given = objectOf(text);
  return given.ok ? readAs(DirectTold)(given.value) : given;
}
