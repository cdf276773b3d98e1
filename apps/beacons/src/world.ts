import { BEACON_PROTOCOL, type GatewayAsk, type GatewayFrame } from '@orthokin/contract/beacons';
import type { Signal } from '@orthokin/core/beacon';
import { seededRandom, type Random } from '@orthokin/core/cue';
import { simulateRep, TYPICAL_ATHLETE, type SimulatedAthlete } from '@orthokin/core/simulation';
import type { EventName } from '@orthokin/core/timing';
import type { Point } from '@orthokin/core/floor';
import { Device } from './device.js';
import { Air, type FaultName } from './faults.js';

const TARGETS = [...'ABCDEFGHIJKL'];
const HOME = 'home';
const LIGHT_SD_MS = 2;
const MAT_SD_MS = 3;
/** When what is to fail fails, after the set is armed. */
const FLAT_AFTER_MS = 9000;
const DROP_AFTER_MS = 6000;
export const DROPPED_FOR_MS = 1500;

const NOTICED: Readonly<Partial<Record<EventName, Signal>>> = {
  firstMove: 'off',
  arrival: 'near',
  action: 'touch',
  home: 'on',
};

/** What the app tells a stand-in so that somebody runs between its devices. */
interface StandIn {
  readonly athlete?: SimulatedAthlete;
  readonly targets: Readonly<Record<string, Point>>;
  readonly sessionsBefore?: number;
}

/** What really happened, on this machine's time of day: for whoever checks what the app made of it. */
export interface Truth {
  readonly place: string;
  readonly signal: Signal;
  readonly epochMs: number;
}

/** One gateway with its devices and the athlete who sets them off. */
export class World {
  private readonly devices: Device[];
  private readonly air: Air;
  private readonly random: Random;
  private readonly timers = new Set<NodeJS.Timeout>();
  private standIn: StandIn | null = null;
  private reps = 0;
  private tell: ((frame: GatewayFrame) => void) | null = null;
  /** Cuts the link; set by whoever holds the socket. */
  cut: () => void = () => undefined;

  constructor(
    seed: number,
    private readonly faults: ReadonlySet<FaultName>,
    private readonly witness: (truth: Truth) => void,
  ) {
    this.random = seededRandom(seed);
    // Of its own, so that the same athlete runs whatever becomes of the frames.
    this.air = new Air(faults, seededRandom(seed + 1));
    this.devices = [
      new Device('mat-home', 'mat', HOME, MAT_SD_MS, this.random),
      ...TARGETS.map(
        (letter) => new Device(`light-${letter}`, 'light', letter, LIGHT_SD_MS, this.random),
      ),
    ];
  }

  connect(tell: (frame: GatewayFrame) => void): void {
    this.tell = tell;
    tell({
      type: 'hello',
      protocol: BEACON_PROTOCOL,
      gateway: 'stand-in',
      devices: this.devices
        .filter(({ alive }) => alive)
        .map(({ id, kind, place, battery, sdMs }) => ({ device: id, kind, place, battery, sdMs })),
    });
  }

  disconnect(): void {
    this.tell = null;
  }

  stop(): void {
    for (const timer of this.timers) clearTimeout(timer);
  }

  hear(ask: GatewayAsk): void {
    switch (ask.type) {
      case 'clock':
        this.answerClock(ask.device, ask.id);
        break;
      case 'arm':
        this.arm(ask.standIn as unknown as StandIn | undefined);
        break;
      case 'cue':
        this.cue(ask.device, ask.at);
        break;
      case 'resend':
        this.device(ask.device)
          ?.again(ask.from, ask.to)
          .forEach((frame) => this.send(frame));
        break;
      case 'resume':
        for (const device of this.devices)
          for (const frame of device.again((ask.heard[device.id] ?? 0) + 1)) this.send(frame);
    }
  }

  private device(id: string): Device | undefined {
    return this.devices.find((device) => device.id === id && device.alive);
  }

  private later(ms: number, act: () => void): void {
    const timer = setTimeout(() => {
      this.timers.delete(timer);
      act();
    }, ms);
    this.timers.add(timer);
  }

  /** Sends through the air: late, twice or not at all. */
  private send(frame: GatewayFrame): void {
    for (const ms of this.air.arrivalsMs()) this.later(ms, () => this.tell?.(frame));
  }

  private answerClock(id: string, ask: number): void {
    const device = this.device(id);
    if (!device) return;
    this.later(this.air.delayMs(), () => {
      const received = device.clock(performance.now());
      const replied = device.clock(performance.now());
      this.later(this.air.delayMs(), () =>
        this.tell?.({ type: 'clock', device: id, id: ask, received, replied, last: device.last }),
      );
    });
  }

  private arm(standIn: StandIn | undefined): void {
    this.standIn = standIn ?? null;
    this.reps = 0;
    if (this.faults.has('drop')) this.later(DROP_AFTER_MS, () => this.cut());
    if (this.faults.has('flat')) this.later(FLAT_AFTER_MS, () => this.goFlat());
  }

  private goFlat(): void {
    const device = this.devices.find(({ place }) => place === TARGETS[0]);
    if (!device) return;
    device.battery = 0;
    this.send({ type: 'battery', device: device.id, level: 0 });
    device.alive = false;
    // The gateway's own word is no device's: it does not go through the air, and is not lost there.
    this.tell?.({ type: 'gone', device: device.id });
  }

  /** The light comes on when it is due, and whoever stands at home goes. */
  private cue(id: string, at: number): void {
    const letter = id.replace('light-', '');
    const device = this.devices.find((each) => each.id === id);
    if (!device) return;
    const dueMs = device.real(at);
    const notice = (of: Device | undefined, signal: Signal, realMs: number) =>
      this.later(realMs - performance.now(), () => {
        const epochMs = performance.timeOrigin + realMs;
        if (of) this.witness({ place: of.place, signal, epochMs });
        const frame = of?.notice(signal, realMs);
        if (frame) this.send(frame);
      });
    notice(device, 'shown', dueMs);
    const target = this.standIn?.targets[letter];
    if (!this.standIn || !target) return;
    const { athlete = TYPICAL_ATHLETE, sessionsBefore = 0 } = this.standIn;
    const { events } = simulateRep(
      athlete,
      { atMs: dueMs, target, repsBefore: this.reps++, sessionsBefore },
      this.random,
    );
    const mat = this.devices.find(({ place }) => place === HOME);
    for (const { name, atMs } of events) {
      const signal = NOTICED[name];
      if (signal) notice(signal === 'off' || signal === 'on' ? mat : device, signal, atMs);
    }
  }
}
