// The classes of the contract are read by their decorators.
import 'reflect-metadata';
import ReconnectingSocket from 'partysocket/ws';
import { v7 } from 'uuid';
import type { LiveRole } from '@orthokin/contract';
import {
  isHolder,
  isLiveMessage,
  mayTell,
  readDirectTold,
  readLiveMessage,
  readLiveNews,
  type DirectNews,
  type DirectTold,
  type LiveMessageName,
  type LiveMessages,
  type LiveNews,
} from '@orthokin/contract/live-messages';
import { ROOM_LENGTH, ROOM_LETTERS } from '@orthokin/contract/room';
import { canGoDirect, DirectWay } from './direct-way.js';

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

/**
 * A server that ends says of one screen after the other that it went; one that stays means it: that
 * screen was shown the door, or has left.
 */
const MEANT_AFTER_MS = 1500;

/** What a screen is refused by that is not let into the room; other refusals are of what it said. */
const NOT_LET_IN = new Set(['room', 'screen', 'role']);

/** Between two networks there is no way, however often it is looked for. */
const MOST_TRIES = 3;

export interface ChannelState {
  /** Whether anybody can be told anything: by the server, or straight. */
  readonly connected: boolean;
  /** Screens that are reached without the server, and are when it is gone. */
  readonly direct: ReadonlySet<string>;
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
  private state: ChannelState = { connected: false, direct: new Set(), others: new Map() };
  /** Screens that are there as the server says. */
  private readonly atServer = new Map<string, LiveRole>();
  private readonly ways = new Map<string, DirectWay>();
  private readonly tried = new Map<string, number>();
  private isServerThere = false;
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
      this.isServerThere = true;
      this.publish();
      // Those who are there already do not know of a newcomer's arrival before ours.
      this.tell('here', {});
    };
    this.socket.onmessage = ({ data, timeStamp }: MessageEvent<string>) => {
      const news = readLiveNews(data);
      if (news.ok) this.receive(news.value, timeStamp);
    };
    this.socket.onclose = () => {
      this.isServerThere = false;
      this.atServer.clear();
      this.publish();
    };
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): ChannelState => this.state;

  tell<Name extends LiveMessageName>(type: Name, body: LiveMessages[Name], to?: string): void {
    const direct = [...this.ways].filter(([id, way]) => way.isOpen && (to ?? id) === id);
    for (const [, way] of direct) way.send(JSON.stringify({ type, body }));
    if (!this.isServerThere || direct.some(([id]) => id === to)) return;
    // Whoever is reached straight has heard it: the others are told one by one.
    const others = [...this.state.others.keys()].filter((id) => !this.ways.get(id)?.isOpen);
    for (const one of to === undefined && direct.length > 0 ? others : [to])
      this.tellByServer(type, body, one);
  }

  private tellByServer(type: LiveMessageName, body: object, to: string | undefined): void {
    const data = { type, body, ...(to !== undefined && { to }) };
    this.socket.send(JSON.stringify({ event: 'tell', data }));
  }

  /** Shows another screen the door; only whoever holds the room may. */
  end(screen: string): void {
    this.forget(screen);
    if (this.isServerThere) this.socket.send(JSON.stringify({ event: 'end', data: { screen } }));
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
    for (const way of this.ways.values()) way.close();
  }

  /** What the server says. */
  private receive(news: LiveNews, pageMs: number): void {
    if (news.event === 'refused') {
      // Who is not let in at the server is not let in by a way past it.
      if (NOT_LET_IN.has(news.field))
        for (const screen of [...this.ways.keys()]) this.forget(screen);
      return;
    }
    const { from, role } = news;
    if (news.event === 'went') {
      this.atServer.delete(from);
      this.publish();
      setTimeout(() => {
        if (this.isServerThere && !this.atServer.has(from)) this.forget(from);
      }, MEANT_AFTER_MS);
      return;
    }
    if (!this.atServer.has(from)) {
      this.atServer.set(from, role);
      this.publish();
    }
    if (isHolder(this.role) && !isHolder(role)) this.reach(from, role);
    if (news.event !== 'told') this.tellByServer('here', {}, from);
    else if (news.type === 'direct') this.introduced(from, role, news.body);
    else this.heard(from, role, news, pageMs);
  }

  private heard(from: string, role: LiveRole, { type, body }: DirectTold, pageMs: number): void {
    if (isLiveMessage(type))
      this.hearers.get(type)?.forEach((hear) => hear(from, role, body, pageMs));
  }

  /** Whoever holds the room looks for a way straight to each screen of it. */
  private reach(screen: string, role: LiveRole): void {
    const tried = this.tried.get(screen) ?? 0;
    if (this.ways.has(screen) || tried >= MOST_TRIES || !canGoDirect()) return;
    this.tried.set(screen, tried + 1);
    void this.wayTo(screen, role)
      .offer()
      .catch(() => this.forget(screen));
  }

  private introduced(from: string, role: LiveRole, body: object): void {
    const news = readLiveMessage('direct', body);
    if (!news.ok || !canGoDirect()) return;
    if (news.value.kind === 'offer') this.forget(from);
    const way = this.ways.get(from) ?? this.wayTo(from, role);
    way.hear(news.value).catch(() => this.forget(from));
  }

  private wayTo(screen: string, role: LiveRole): DirectWay {
    const way: DirectWay = new DirectWay(role, {
      introduce: (news: DirectNews) => this.tellByServer('direct', news, screen),
      frame: (text, pageMs) => {
        const told = readDirectTold(text);
        // The server holds every screen to its role; here this one does.
        if (!told.ok || told.value.type === 'direct' || !mayTell(role, told.value.type)) return;
        this.heard(screen, role, told.value, pageMs);
      },
      change: () => {
        if (way.isOver && this.ways.get(screen) === way) this.forget(screen);
        else this.publish();
      },
    });
    this.ways.set(screen, way);
    return way;
  }

  private forget(screen: string): void {
    const way = this.ways.get(screen);
    // First, that its end is no news any more.
    this.ways.delete(screen);
    way?.close();
    this.publish();
  }

  private publish(): void {
    const ways = [...this.ways];
    const direct = new Set(ways.flatMap(([id, { isOpen }]) => (isOpen ? [id] : [])));
    // Whoever tells of itself by a way of its own is there, and no longer than that way is.
    const standing = ways.flatMap(([id, way]) => (way.isStanding ? [[id, way.role] as const] : []));
    this.state = {
      connected: this.isServerThere || direct.size > 0,
      direct,
      others: new Map([...this.atServer, ...standing]),
    };
    for (const listener of this.listeners) listener();
  }
}
