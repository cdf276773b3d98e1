import { playSpan } from '@orthokin/core/footwork';
import type { Leg } from '@orthokin/core/pattern';
import { allowSound, planBeep, type Beep } from '../../sound/audio.js';

export interface Playing {
  readonly playing: boolean;
  /** 1 is the pattern's own speed. */
  readonly speed: number;
  readonly loop: boolean;
  readonly countIn: boolean;
}

export const SLOWEST = 0.25;
export const FASTEST = 1.5;
const COUNT_BEATS = 4;
const COUNT_EVERY_MS = 500;
/** How far ahead of the current frame sounds are scheduled, ms. */
const AHEAD_MS = 150;

const COUNT: Beep = { hz: 1400, lengthS: 0.04, level: 0.25 };
const LEFT: Beep = { hz: 440, lengthS: 0.06, level: 0.4, pan: -0.7 };
const RIGHT: Beep = { hz: 660, lengthS: 0.06, level: 0.4, pan: 0.7 };

/** A step's sound: left and right differ in pitch and panning, the load is longer and louder. */
function soundOf({ foot, phase }: Leg['placements'][number]): Beep {
  const step = foot === 'left' ? LEFT : RIGHT;
  return phase === 'load' ? { ...step, lengthS: 0.16, level: 0.8 } : step;
}

/** Plays a leg on the pattern's clock, with sound, and reports the time to listeners. */
export class Player {
  private state: Playing = { playing: false, speed: 1, loop: false, countIn: false };
  private leg: Leg | null = null;
  private nowMs = 0;
  /** A moment in page time and in pattern time. */
  private anchor = { pageMs: 0, patternMs: 0 };
  private plannedTo = 0;
  private planned: (() => void)[] = [];
  private frame = 0;
  private readonly listeners = new Set<() => void>();
  private readonly watchers = new Set<(ms: number) => void>();

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): Playing => this.state;

  /** Calls `watcher` with the current pattern time, and with each new one. */
  readonly watch = (watcher: (ms: number) => void): (() => void) => {
    this.watchers.add(watcher);
    watcher(this.nowMs);
    return () => this.watchers.delete(watcher);
  };

  /** Loads another leg, or a changed one. */
  readonly load = (leg: Leg | null): void => {
    const other = leg?.target !== this.leg?.target;
    this.leg = leg;
    if (!leg) this.pause();
    else if (other) {
      this.pause();
      this.seek(playSpan(leg).fromMs);
    }
  };

  readonly set = (change: Partial<Omit<Playing, 'playing'>>): void => {
    const wasPlaying = this.state.playing;
    if (wasPlaying) this.hold();
    this.publish(change);
    if (wasPlaying) this.go();
  };

  readonly seek = (ms: number): void => {
    const wasPlaying = this.state.playing;
    if (wasPlaying) this.hold();
    this.tell(ms);
    if (wasPlaying) this.go();
  };

  readonly toggle = async (): Promise<void> => {
    if (this.state.playing) {
      this.pause();
      return;
    }
    if (!this.leg) return;
    await allowSound();
    const { fromMs, toMs } = playSpan(this.leg);
    if (this.nowMs >= toMs - 1) this.tell(fromMs);
    this.publish({ playing: true });
    if (this.state.countIn && this.nowMs <= fromMs) this.go(this.count());
    else this.go();
  };

  readonly pause = (): void => {
    this.hold();
    this.publish({ playing: false });
  };

  /**
   * Schedules the count-in.
   * @returns its length, page ms
   */
  private count(): number {
    const first = performance.now() + 60;
    for (let beat = 0; beat < COUNT_BEATS; beat++)
      this.planned.push(planBeep(COUNT, first + beat * COUNT_EVERY_MS));
    return 60 + COUNT_BEATS * COUNT_EVERY_MS;
  }

  private go(afterMs = 0): void {
    this.anchor = { pageMs: performance.now() + afterMs, patternMs: this.nowMs };
    this.plannedTo = this.nowMs;
    this.frame = requestAnimationFrame(this.step);
  }

  private readonly step = (pageMs: number): void => {
    const leg = this.leg;
    if (!leg) return;
    const { fromMs, toMs } = playSpan(leg);
    const patternMs =
      this.anchor.patternMs + Math.max(0, pageMs - this.anchor.pageMs) * this.state.speed;
    this.planSteps(leg, patternMs + AHEAD_MS * this.state.speed);
    this.tell(Math.min(patternMs, toMs));
    if (patternMs < toMs) this.frame = requestAnimationFrame(this.step);
    else if (this.state.loop) {
      this.tell(fromMs);
      this.go();
    } else this.publish({ playing: false });
  };

  private planSteps(leg: Leg, upToMs: number): void {
    for (const placement of leg.placements) {
      if (placement.atMs < this.plannedTo || placement.atMs >= upToMs) continue;
      const page = this.anchor.pageMs + (placement.atMs - this.anchor.patternMs) / this.state.speed;
      this.planned.push(planBeep(soundOf(placement), page));
    }
    this.plannedTo = Math.max(this.plannedTo, upToMs);
  }

  private hold(): void {
    cancelAnimationFrame(this.frame);
    for (const cancel of this.planned) cancel();
    this.planned = [];
  }

  private tell(ms: number): void {
    this.nowMs = ms;
    for (const watcher of this.watchers) watcher(ms);
  }

  private publish(change: Partial<Playing>): void {
    this.state = { ...this.state, ...change };
    for (const listener of this.listeners) listener();
  }
}
