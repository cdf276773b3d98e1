// Contract classes need decorator metadata.
import 'reflect-metadata';
import { readGatewayFrame, type GatewayAsk, type GatewayFrame } from '@orthokin/contract/beacons';
import { problemSentence } from '@orthokin/core/result';
import { toRemote, type TimedEvent } from '@orthokin/core/timing';
import ReconnectingSocket from 'partysocket/ws';
import { v7 } from 'uuid';
import {
  clocked,
  greeted,
  heardOf,
  lightAt,
  missing,
  NO_DEVICES,
  noticed,
  withBattery,
  withPresence,
  type Fleet,
} from './fleet.js';
import { say } from '../words/drill.js';

/**
 * Nothing is queued while disconnected: devices keep their events and send them again, and questions are asked again.
 */
const RECONNECTING = {
  minReconnectionDelay: 300,
  maxReconnectionDelay: 3000,
  reconnectionDelayGrowFactor: 2,
  maxEnqueuedMessages: 0,
};
const QUICK_ROUNDS = 10;
const QUICK_EVERY_MS = 120;
const EVERY_MS = 1000;
const MEND_EVERY_MS = 300;

export interface LinkState {
  readonly connected: boolean;
  readonly fleet: Fleet;
  /** The last frame from the gateway that could not be read. */
  readonly problem: string | null;
}

/** An event from a device: its place, and its time in epoch ms. */
export interface Noticing {
  readonly place: string;
  readonly event: TimedEvent;
}

const epochNow = (): number => performance.timeOrigin + performance.now();

/**
 * The link to a beacon gateway: matches each device's clock, takes each event in once, requests missing ones, and
 * reconnects.
 */
export class BeaconLink {
  private readonly socket: ReconnectingSocket | null;
  private state: LinkState = { connected: false, fleet: NO_DEVICES, problem: null };
  private readonly listeners = new Set<() => void>();
  private readonly hearers = new Set<(noticing: Noticing) => void>();
  private readonly asked = new Map<number, number>();
  private readonly session = v7();
  private nextAsk = 1;
  private rounds = 0;
  private readonly timers = new Map<'clock' | 'mend', ReturnType<typeof setTimeout>>();

  constructor(private readonly address: string) {
    this.socket = this.connect();
    this.every('mend', MEND_EVERY_MS, () => this.mend());
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): LinkState => this.state;

  onNoticed(hear: (noticing: Noticing) => void): () => void {
    this.hearers.add(hear);
    return () => this.hearers.delete(hear);
  }

  /** Announces a set, with the simulated athlete's parameters, which hardware ignores. */
  arm(standIn: Record<string, unknown>): void {
    this.ask({ type: 'arm', standIn });
  }

  /** Lights a target's cue at a time, epoch ms. */
  cue(letter: string, epochMs: number): void {
    const device = lightAt(this.state.fleet, letter);
    if (device?.match)
      this.ask({ type: 'cue', device: device.id, at: toRemote(device.match, epochMs) });
  }

  close(): void {
    for (const timer of this.timers.values()) clearTimeout(timer);
    this.socket?.close();
  }

  private every(name: 'clock' | 'mend', ms: number, act: () => void): void {
    this.timers.set(
      name,
      setTimeout(() => {
        act();
        if (name === 'mend') this.every('mend', ms, act);
      }, ms),
    );
  }

  private connect(): ReconnectingSocket | null {
    let url: URL;
    try {
      url = new URL(this.address);
    } catch {
      this.publish({ problem: say('addressNoAddressLikeWs192', { address: this.address }) });
      return null;
    }
    url.searchParams.set('session', this.session);
    const socket = new ReconnectingSocket(url.toString(), [], RECONNECTING);
    socket.onopen = () => {
      this.rounds = 0;
      this.publish({ connected: true, problem: null });
      this.ask({ type: 'resume', heard: heardOf(this.state.fleet) });
    };
    socket.onmessage = ({ data, timeStamp }: MessageEvent<string>) => {
      const frame = readGatewayFrame(data);
      if (frame.ok) this.receive(frame.value, performance.timeOrigin + timeStamp);
      else this.publish({ problem: problemSentence(frame.problem) });
    };
    socket.onclose = () => {
      this.publish({ connected: false });
      this.asked.clear();
    };
    return socket;
  }

  private receive(frame: GatewayFrame, receivedMs: number): void {
    const { fleet } = this.state;
    switch (frame.type) {
      case 'hello':
        this.publish({ fleet: greeted(fleet, frame.devices) });
        this.askClocks();
        break;
      case 'clock': {
        const sent = this.asked.get(frame.id);
        this.asked.delete(frame.id);
        if (sent === undefined) return;
        const { received: remoteReceived, replied: remoteReplied } = frame;
        const exchange = { sent, remoteReceived, remoteReplied, received: receivedMs };
        this.publish({ fleet: clocked(fleet, frame.device, exchange, frame.last) });
        break;
      }
      case 'battery':
        this.publish({ fleet: withBattery(fleet, frame.device, frame.level) });
        break;
      case 'gone':
      case 'back':
        this.publish({ fleet: withPresence(fleet, frame.device, frame.type === 'back') });
        break;
      case 'event': {
        const { fleet: after, news } = noticed(fleet, frame);
        this.publish({ fleet: after });
        if (news) for (const hear of this.hearers) hear(news);
      }
    }
  }

  private askClocks(): void {
    clearTimeout(this.timers.get('clock'));
    for (const { id, isThere } of this.state.fleet.values()) {
      if (!isThere) continue;
      const ask = this.nextAsk++;
      this.asked.set(ask, epochNow());
      this.ask({ type: 'clock', device: id, id: ask });
    }
    this.rounds += 1;
    const wait = this.rounds < QUICK_ROUNDS ? QUICK_EVERY_MS : EVERY_MS;
    this.every('clock', wait, () => {
      if (this.state.connected) this.askClocks();
    });
  }

  /** Requests missing events until they have arrived. */
  private mend(): void {
    for (const { device, from, to } of missing(this.state.fleet))
      this.ask({ type: 'resend', device, from, to });
  }

  private ask(frame: GatewayAsk): void {
    if (this.state.connected) this.socket?.send(JSON.stringify(frame));
  }

  private publish(change: Partial<LinkState>): void {
    this.state = { ...this.state, ...change };
    for (const listener of this.listeners) listener();
  }
}
