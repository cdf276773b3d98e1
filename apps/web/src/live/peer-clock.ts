import {
  matchClock,
  toLocal,
  toRemote,
  type ClockExchange,
  type ClockMatch,
} from '@orthokin/core/timing';
import type { Channel } from './channel.js';

/** Converts page ms to epoch ms, as precisely as the browser allows. */
export const epochOf = (pageMs: number): number => performance.timeOrigin + pageMs;

const KEPT = 60;
const QUICK = 12;
const QUICK_EVERY_MS = 80;
const EVERY_MS = 3000;

/**
 * Answers the clock questions of other screens.
 * @returns stops answering
 */
export const answerClock = (channel: Channel): (() => void) =>
  channel.on('clock?', ({ from, body, pageMs }) =>
    channel.tell(
      'clock',
      { ...body, remoteReceived: epochOf(pageMs), remoteReplied: epochOf(performance.now()) },
      from,
    ),
  );

/**
 * Synchronises with the clock of the drill's screen by questions over the live channel: several at first, then a few
 * to follow the drift.
 */
export class PeerClock {
  private exchanges: ClockExchange[] = [];
  private match: ClockMatch | null = null;
  private asked = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly stopHearing: () => void;

  constructor(private readonly channel: Channel) {
    this.stopHearing = channel.on('clock', ({ body, pageMs }) => {
      const { sent, remoteReceived, remoteReplied } = body;
      const exchange = { sent, remoteReceived, remoteReplied, received: epochOf(pageMs) };
      this.exchanges = [...this.exchanges, exchange].slice(-KEPT);
      this.match = matchClock(this.exchanges);
    });
    this.ask();
  }

  /** Converts the drill screen's epoch ms to page ms; `null` until synchronised. */
  toPage(epochMs: number): number | null {
    return this.match && toLocal(this.match, epochMs) - performance.timeOrigin;
  }

  /** Converts page ms to the drill screen's epoch ms, with the error. */
  toHost(pageMs: number): { readonly epochMs: number; readonly sdMs: number } | null {
    return (
      this.match && {
        epochMs: toRemote(this.match, epochOf(pageMs)),
        sdMs: this.match.sdMs,
      }
    );
  }

  stop(): void {
    clearTimeout(this.timer);
    this.stopHearing();
  }

  private ask(): void {
    this.channel.tell('clock?', { sent: epochOf(performance.now()) });
    this.asked += 1;
    this.timer = setTimeout(() => this.ask(), this.asked < QUICK ? QUICK_EVERY_MS : EVERY_MS);
  }
}
