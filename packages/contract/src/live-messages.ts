import { wrong, type Result } from '@orthokin/core/result';
import { Equals, IsIn, IsNumber, IsObject, IsString, MaxLength } from 'class-validator';
import { type Ask, Call, FaultAsk, PressAsk, SimpleAsk } from './asks.js';
import { AtStation, BoardNews } from './board-news.js';
import { LIVE_ROLES, type LiveRole } from './live.js';
import { frameOf, objectOf, readAs } from './read-frame.js';
import { Presentation, RunNews, SetNews } from './set-news.js';

export { isHolder, mayTell } from './live.js';
export { Call, SimpleAsk, FaultAsk, PressAsk, type Ask } from './asks.js';
export { KeyedFault, SetNews, LastRepNews, RunNews, Presentation } from './set-news.js';
export {
  AtStation,
  BoardNews,
  HelperNews,
  LONGEST_ON_BOARD,
  MOST_ON_BOARD,
  StationNews,
  TimedNews,
} from './board-news.js';

/** A message without content. */
// oxlint-disable-next-line typescript/no-extraneous-class -- a body without fields is read like any other
export class NothingMore {}

/** Asks a screen for its clock; sent at this time on the asker's clock, epoch ms. */
export class ClockQuestion {
  @IsNumber()
  sent: number;
}

/** The answer: the question, with when it arrived and was answered on the other clock. */
export class ClockReading extends ClockQuestion {
  @IsNumber()
  remoteReceived: number;

  @IsNumber()
  remoteReplied: number;
}

/** The longest WebRTC description that fits into one message. */
const LONGEST_SDP = 5000;

/** WebRTC signalling: how screens reach each other without the server. */
export class DirectNews {
  @IsIn(['offer', 'answer'])
  kind: 'offer' | 'answer';

  @IsString()
  @MaxLength(LONGEST_SDP)
  sdp: string;
}

/** A message sent directly between screens; the connection tells who sent it. */
export class DirectTold {
  @IsString()
  @MaxLength(40)
  type: string;

  @IsObject()
  body: object;
}

/** Messages between the screens of a room, by name. */
export interface LiveMessages {
  /** A screen has joined; others answer with what it has to know. */
  readonly here: NothingMore;
  readonly set: SetNews;
  readonly run: RunNews;
  readonly coming: Presentation;
  /** Takes back what was announced or shown. */
  readonly clear: NothingMore;
  /** The set is over. */
  readonly over: NothingMore;
  readonly call: Call;
  readonly ask: Ask;
  readonly board: BoardNews;
  readonly at: AtStation;
  /** WebRTC signalling, so that screens can go on when the server is gone. */
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

/** Parses a message by its name, or says which field is wrong. Unknown fields are ignored. */
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

/** A message from a screen; its body is parsed by name afterwards. */
export class ToldNews extends OfScreen {
  @Equals('told')
  event: 'told';

  @IsString()
  @MaxLength(40)
  type: string;

  @IsObject()
  body: object;
}

/** A screen joined or left. */
export class PresenceNews extends OfScreen {
  @IsIn(['came', 'went'])
  event: 'came' | 'went';
}

/** The server could not read this screen's message. */
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

/** A frame to a screen. */
export type LiveNews = ToldNews | PresenceNews | RefusedNews;

const NEWS = { told: ToldNews, came: PresenceNews, went: PresenceNews, refused: RefusedNews };

/** Parses a frame of the live channel, or says which field is wrong. */
export function readLiveNews(text: string): Result<LiveNews> {
  const given = objectOf(text);
  if (!given.ok) return given;
  const frame = frameOf<LiveNews>(NEWS, 'event', given.value);
  return frame ?? wrong('event', given.value['event'], Object.keys(NEWS).join(', '));
}

/** Parses a direct message, or says which field is wrong. */
export function readDirectTold(text: string): Result<DirectTold> {
  const given = objectOf(text);
  return given.ok ? readAs(DirectTold)(given.value) : given;
}
