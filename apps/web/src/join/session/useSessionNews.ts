import type { LiveRole } from '@orthokin/contract';
import type { BoardNews } from '@orthokin/contract/live-messages';
import { useEffect, useState } from 'react';
import { Channel } from '../../live/channel.js';
import { PeerClock } from '../../live/peer-clock.js';

/** What a joined screen knows about the session, with its clocks now. */
export interface SessionNow {
  readonly channel: Channel | null;
  /** `null` until it is heard. */
  readonly news: BoardNews | null;
  /** Seconds left in the block. */
  readonly leftS: number;
  /** Seconds until the turn ends or the next begins. */
  readonly untilS: number | null;
}

const TICK_MS = 200;

/** Joins a session's room and follows its board. */
export function useSessionNews(room: string, role: LiveRole): SessionNow {
  const [way, setWay] = useState<{ channel: Channel; clock: PeerClock } | null>(null);
  const [news, setNews] = useState<{ of: BoardNews; heardMs: number } | null>(null);
  const [nowMs, setNowMs] = useState(() => performance.now());
  useEffect(() => {
    const channel = new Channel(room, role);
    const clock = new PeerClock(channel);
    const stop = channel.on('board', ({ body, pageMs }) => {
      setNews({ of: body, heardMs: pageMs });
      setNowMs(performance.now());
    });
    const timer = setInterval(() => setNowMs(performance.now()), TICK_MS);
    // oxlint-disable-next-line react/set-state-in-effect -- a connection is made, not derived
    setWay({ channel, clock });
    return () => {
      clearInterval(timer);
      stop();
      clock.stop();
      channel.leave();
      setWay(null);
    };
  }, [room, role]);
  // Until the clocks are synchronised the time of arrival counts.
  const toldMs = news && (way?.clock.toPage(news.of.atMs) ?? news.heardMs);
  const goneS = news && toldMs !== null && !news.of.isPaused ? (nowMs - toldMs) / 1000 : 0;
  const untilS = news?.of.untilS ?? null;
  return {
    channel: way?.channel ?? null,
    news: news?.of ?? null,
    leftS: (news?.of.leftS ?? 0) - goneS,
    untilS: untilS === null ? null : Math.max(0, untilS - goneS),
  };
}
