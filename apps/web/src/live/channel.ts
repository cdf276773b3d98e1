// Contract classes need decorator metadata.
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

/** Live news is useless later, so nothing is queued while disconnected. */
const RECONNECTING = {
  minReconnectionDelay: 300,
  maxReconnectionDelay: 4000,
  reconnectionDelayGrowFactor: 2,
  maxEnqueuedMessages: 0,
};

/** A room code that is easy to read out across a floor. */
export const newRoomCode = (): string =>
  [...crypto.getRandomValues(new Uint8Array(ROOM_LENGTH))]
    .map((byte) => ROOM_LETTERS[byte % ROOM_LETTERS.length])
    .join('');

/**
 * A stopping server reports all its screens as gone, one after another, before the connection breaks. If the
 * connection still stands after this time, the screen really left or was expelled.
 */
const MEANT_AFTER_MS = 1500;

/** Fields of refusals that mean "not let into the room"; other refusals are about a message. */
const NOT_LET_IN = new Set(['room', 'screen', 'role']);

/** If it fails this often the two devices are on different networks. */
const MOST_TRIES = 3;

export interface ChannelState {
  /** Whether anybody can be reached, through the server or directly. */
  readonly connected: boolean;
  /** Screens reached directly, which still works when the server is gone. */
  readonly direct: ReadonlySet<string>;
  /** Ids and roles of the room's other screens. */
  readonly others: ReadonlyMap<string, LiveRole>;
}

export interface Told<Name extends LiveMessageName> {
  readonly from: string;
  readonly role: LiveRole;
  readonly body: LiveMessages[Name];
  /** When it arrived, page ms. */
  readonly pageMs: number;
}

type Hearer = (from: string, role: LiveRole, body: object, pageMs: number) => void;

/**
 * This screen's connection to a room. It reconnects by itself; messages sent meanwhile are dropped, since live news
 * is useless later.
 */
export class Channel {
  readonly screen = v7();
  private readonly socket: ReconnectingSocket;
  private state: ChannelState = { connected: false, direct: new Set(), others: new Map() };
  /** The room's screens according to the server. */
  private readonly atServer = new Map<string, LiveRole>();
  private readonly ways = new Map<string, DirectWay>();
  private readonly tried = new Map<string, number>();
  private isServerThere = false;
  private readonly listeners = new Set<() => void>();
  private readonly hearers = new Map<LiveMessageName, Set<Hearer>>();

  constructor(
    readonly room: string,
    readonly role: LiveRole,
    /** The club of the drill or session; only known to the screen that runs the room. */
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
      // Screens already in the room learn of this one by this message.
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
    // Screens reached directly have it already; the others are told one by one.
    const others = [...this.state.others.keys()].filter((id) => !this.ways.get(id)?.isOpen);
    for (const one of to === undefined && direct.length > 0 ? others : [to])
      this.tellByServer(type, body, one);
  }

  private tellByServer(type: LiveMessageName, body: object, to: string | undefined): void {
    const data = { type, body, ...(to !== undefined && { to }) };
    this.socket.send(JSON.stringify({ event: 'tell', data }));
  }

  /** Expels another screen; only allowed to the screen that runs the room. */
  end(screen: string): void {
    this.forget(screen);
    if (this.isServerThere) this.socket.send(JSON.stringify({ event: 'end', data: { screen } }));
  }

  /**
   * Listens for messages of a name. Messages that do not match the contract are ignored, since other screens may have
   * another version.
   * @returns stops listening
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

  /** Handles a frame from the server. */
  private receive(news: LiveNews, pageMs: number): void {
    if (news.event === 'refused') {
      // A screen the server does not let in must not get in by a direct connection.
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

  /** The screen that runs the room tries to connect directly to each other screen. */
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
        // For direct messages this screen checks roles, as the server does for others.
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
    // Removed first, so that its closing is not reported.
    this.ways.delete(screen);
    way?.close();
    this.publish();
  }

  private publish(): void {
    const ways = [...this.ways];
    const direct = new Set(ways.flatMap(([id, { isOpen }]) => (isOpen ? [id] : [])));
    // A screen known only by its direct connection is present as long as that stands.
    const standing = ways.flatMap(([id, way]) => (way.isStanding ? [[id, way.role] as const] : []));
    this.state = {
      connected: this.isServerThere || direct.size > 0,
      direct,
      others: new Map([...this.atServer, ...standing]),
    };
    for (const listener of this.listeners) listener();
  }
}
