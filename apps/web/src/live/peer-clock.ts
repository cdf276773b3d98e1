import {
  matchClock,
  toLocal,
  toRemote,
  type ClockExchange,
  type ClockMatch,
} from '@orthokin/core/timing';
import type { Channel } from './channel.js';

/** Time of day on the page's monotonic clock, ms, as finely as the browser gives it. */
export const epochOf = (pageMs: number): number => performance.timeOrigin + pageMs;

const KEPT = 60;
const QUICK = 12;
const QUICK_EVERY_MS = 80;
const EVERY_MS = 3000;

/** Answers the clock questions of the other screens; the reply stops answering. */
export const answerClock = (channel: Channel): (() => void) =>
  channel.on('clock?', ({ from, body, pageMs }) =>
    channel.tell(
      'clock',
      { ...body, remoteReceived: epochOf(pageMs), remoteReplied: epochOf(performance.now()) },
      from,
    ),
  );

/**
 * Matches this page's clock with that of the drill's screen, by questions over the live channel:
 * many at first, then a few to follow the drift.
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

  /** The page's time of a moment of the drill's screen; `null` until the clocks are matched. */
  toPage(epochMs: number): number | null {
    return this.match && toLocal(this.match, epochMs) - performance.timeOrigin;
  }

  /** The drill screen's time of a moment of this page, and how surely. */
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
