import { v7 } from 'uuid';
import type { LiveNews, LiveRole } from '@orthokin/contract';
import { ROOM_LENGTH, ROOM_LETTERS } from '@orthokin/contract/room';

const FIRST_RETRY_MS = 300;
const LONGEST_RETRY_MS = 4000;

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

export interface Told {
  readonly from: string;
  readonly role: LiveRole;
  readonly body: Record<string, unknown>;
  /** When it was heard, on the page's clock. */
  readonly pageMs: number;
}

type Hearer = (told: Told) => void;

/**
 * This screen's place in a room. It joins again by itself when the connection is lost; what is
 * told meanwhile is not kept: live news is of no use later.
 */
export class Channel {
  readonly screen = v7();
  private socket: WebSocket | null = null;
  private state: ChannelState = { connected: false, others: new Map() };
  private readonly listeners = new Set<() => void>();
  private readonly hearers = new Map<string, Set<Hearer>>();
  private retryMs = FIRST_RETRY_MS;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private left = false;

  constructor(
    readonly room: string,
    readonly role: LiveRole,
  ) {
    this.connect();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): ChannelState => this.state;

  tell(type: string, body: object, to?: string): void {
    if (this.socket?.readyState !== WebSocket.OPEN) return;
    const data = { type, body, ...(to !== undefined && { to }) };
    this.socket.send(JSON.stringify({ event: 'tell', data }));
  }

  /** Hears all that is told under a name; the reply stops hearing. */
  on(type: string, hear: Hearer): () => void {
    const hearers = this.hearers.get(type) ?? new Set();
    this.hearers.set(type, hearers.add(hear));
    return () => hearers.delete(hear);
  }

  leave(): void {
    this.left = true;
    clearTimeout(this.timer);
    this.socket?.close();
  }

  private connect(): void {
    const url = new URL('/api/live', window.location.href);
    url.protocol = url.protocol.replace('http', 'ws');
    url.search = new URLSearchParams({
      room: this.room,
      screen: this.screen,
      role: this.role,
    }).toString();
    const socket = new WebSocket(url);
    this.socket = socket;
    socket.onopen = () => {
      this.retryMs = FIRST_RETRY_MS;
      this.publish({ connected: true });
      // Those who are there already do not know of a newcomer's arrival before ours.
      this.tell('here', {});
    };
    socket.onmessage = ({ data, timeStamp }: MessageEvent<string>) =>
      this.receive(JSON.parse(data) as LiveNews, timeStamp);
    socket.onclose = () => {
      this.publish({ connected: false, others: new Map() });
      if (this.left) return;
      this.timer = setTimeout(() => this.connect(), this.retryMs);
      this.retryMs = Math.min(LONGEST_RETRY_MS, 2 * this.retryMs);
    };
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
    if (news.event !== 'told') {
      this.tell('here', {}, from);
      this.hearers.get('came')?.forEach((hear) => hear({ from, role, body: {}, pageMs }));
      return;
    }
    this.hearers.get(news.type)?.forEach((hear) => hear({ from, role, body: news.body, pageMs }));
  }

  private publish(change: Partial<ChannelState>): void {
    this.state = { ...this.state, ...change };
    for (const listener of this.listeners) listener();
  }
}
