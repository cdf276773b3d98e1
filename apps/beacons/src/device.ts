import type { EventFrame } from '@orthokin/contract/beacons';
import type { DeviceKind, Signal } from '@orthokin/core/beacon';
import { uniform, type Random } from '@orthokin/core/cue';

const MOST_KEPT = 500;
const OFFSET_MS = 2_000_000;
const DRIFT = 60e-6;

/** A light or a mat: a clock of its own, and its events numbered and kept to be sent again. */
export class Device {
  private readonly offsetMs: number;
  private readonly drift: number;
  private readonly kept: EventFrame[] = [];
  private seq = 0;
  alive = true;
  battery: number;

  constructor(
    readonly id: string,
    readonly kind: DeviceKind,
    readonly place: string,
    readonly sdMs: number,
    random: Random,
  ) {
    this.offsetMs = uniform(random, -OFFSET_MS, OFFSET_MS);
    this.drift = uniform(random, -DRIFT, DRIFT);
    this.battery = uniform(random, 0.55, 0.95);
  }

  /** Its time of a moment of this machine's, ms. */
  clock(realMs: number): number {
    return realMs + this.offsetMs + this.drift * realMs;
  }

  /** This machine's time of a moment of its own. */
  real(clockMs: number): number {
    return (clockMs - this.offsetMs) / (1 + this.drift);
  }

  notice(signal: Signal, realMs: number): EventFrame | null {
    if (!this.alive) return null;
    this.seq += 1;
    const frame: EventFrame = {
      type: 'event',
      device: this.id,
      seq: this.seq,
      at: this.clock(realMs),
      signal,
    };
    this.kept.push(frame);
    if (this.kept.length > MOST_KEPT) this.kept.shift();
    return frame;
  }

  get last(): number {
    return this.seq;
  }

  again(from: number, to = Infinity): EventFrame[] {
    return this.kept.filter(({ seq }) => seq >= from && seq <= to);
  }
}
