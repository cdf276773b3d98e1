// The classes of the contract are read by their decorators.
import 'reflect-metadata';
import ReconnectingSocket from 'partysocket/ws';
import { v7 } from 'uuid';
import type { LiveRole } from '@orthokin/contract';
import {
  isLiveMessage,
  readLiveMessage,
  readLiveNews,
  type LiveMessageName,
  type LiveMessages,
  type LiveNews,
} from '@orthokin/contract/live-messages';
import { ROOM_LENGTH, ROOM_LETTERS } from '@orthokin/contract/room';

/** What is told while nobody is connected is of no use later: nothing waits. */
const RECONNECTING = {
  minReconnectionDelay: 300,
  maxReconnectionDelay: 4000,
  reconnectionDelayGrowFactor: 2,
  maxEnqueuedMessages: 0,
};

/** A code to read out across a floor. */
export const newRoomCode = (): string =>
  [...crypto.getRandomValues(new Uint8Array(ROOM_LENGTH))]
    .map((byte) => ROOM_LETTERS[byte % ROOM_LETTERS.length])
    .join('');

export interface ChannelState {
  readonly connected: boolean;
  /** Other screens of the room, by their id. */
  readonly others: ReadonlyMap<string, LiveRole>;
}

export interface Told<Name extends LiveMessageName> {
  readonly from: string;
  readonly role: LiveRole;
  readonly body: LiveMessages[Name];
  /** When it was heard, on the page's clock. */
  readonly pageMs: number;
}

type Hearer = (from: string, role: LiveRole, body: object, pageMs: number) => void;

/**
 * This screen's place in a room. It joins again by itself when the connection is lost; what is
 * told meanwhile is not kept: live news is of no use later.
 */
export class Channel {
  readonly screen = v7();
  private readonly socket: ReconnectingSocket;
  private state: ChannelState = { connected: false, others: new Map() };
  private readonly listeners = new Set<() => void>();
  private readonly hearers = new Map<LiveMessageName, Set<Hearer>>();

  constructor(
    readonly room: string,
    readonly role: LiveRole,
    /** Whose drill or session it is; only whoever holds the room knows. */
    clubId?: string,
  ) {
    const url = new URL('/api/live', window.location.href);
    url.protocol = url.protocol.replace('http', 'ws');
    url.search = new URLSearchParams({
      ...{ room, screen: this.screen, role },
      ...(clubId !== undefined && { club: clubId }),
    }).toString();
    this.socket = new ReconnectingSocket(url.toString(), [], RECONNECTING);
    this.socket.onopen = () => {
      this.publish({ connected: true });
      // Those who are there already do not know of a newcomer's arrival before ours.
      this.tell('here', {});
    };
    this.socket.onmessage = ({ data, timeStamp }: MessageEvent<string>) => {
      const news = readLiveNews(data);
      if (news.ok) this.receive(news.value, timeStamp);
    };
    this.socket.onclose = () => this.publish({ connected: false, others: new Map() });
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): ChannelState => this.state;

  tell<Name extends LiveMessageName>(type: Name, body: LiveMessages[Name], to?: string): void {
    if (!this.state.connected) return;
    const data = { type, body, ...(to !== undefined && { to }) };
    this.socket.send(JSON.stringify({ event: 'tell', data }));
  }

  /** Shows another screen the door; only whoever holds the room may. */
  end(screen: string): void {
    if (this.state.connected) this.socket.send(JSON.stringify({ event: 'end', data: { screen } }));
  }

  /**
   * Hears all that is told under a name; what is not as the contract says is let be, for another
   * screen may be of another version. The reply stops hearing.
   */
  on<Name extends LiveMessageName>(name: Name, hear: (told: Told<Name>) => void): () => void {
    const hearers = this.hearers.get(name) ?? new Set();
    const hearer: Hearer = (from, role, given, pageMs) => {
      const body = readLiveMessage(name, given);
      if (body.ok) hear({ from, role, body: body.value, pageMs });
    };
    this.hearers.set(name, hearers.add(hearer));
    return () => hearers.delete(hearer);
  }

  leave(): void {
    this.socket.close();
  }

  private receive(news: LiveNews, pageMs: number): void {
    if (news.event === 'refused') return;
    const { from, role } = news;
    if (news.event === 'went') {
      const others = new Map(this.state.others);
      others.delete(from);
      this.publish({ others });
      return;
    }
    if (!this.state.others.has(from))
      this.publish({ others: new Map(this.state.others).set(from, role) });
    if (news.event !== 'told') this.tell('here', {}, from);
    else if (isLiveMessage(news.type))
      this.hearers.get(news.type)?.forEach((hear) => hear(from, role, news.body, pageMs));
  }

  private publish(change: Partial<ChannelState>): void {
    this.state = { ...this.state, ...change };
    for (const listener of this.listeners) listener();
  }
}
