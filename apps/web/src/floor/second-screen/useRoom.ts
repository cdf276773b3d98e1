import { useEffect, useState } from 'react';
import { Channel, newRoomCode } from '../../live/channel.js';
import { answerClock } from '../../live/peer-clock.js';
import { useRemembered } from '../../device/useRemembered.js';

export interface Room {
  readonly code: string;
  /** `null` until a second screen is wanted. */
  readonly channel: Channel | null;
  readonly open: () => void;
  /** A new code: who knew the old one is out. */
  readonly renew: () => void;
}

/**
 * The room of this device's drills. Its code stays the same from set to set and from day to day,
 * so that a screen joined once need not join again.
 */
export function useRoom(): Room {
  const [fresh] = useState(newRoomCode);
  const [kept, keep] = useRemembered<{ code: string; open: boolean }>('room', {
    code: fresh,
    open: false,
  });
  const [channel, setChannel] = useState<Channel | null>(null);
  useEffect(() => {
    if (!kept.open) return;
    const joined = new Channel(kept.code, 'drill');
    const silent = answerClock(joined);
    // eslint-disable-next-line react-hooks/set-state-in-effect -- a connection is made, not derived
    setChannel(joined);
    return () => {
      silent();
      joined.leave();
      setChannel(null);
    };
  }, [kept.code, kept.open]);
  return {
    code: kept.code,
    channel,
    open: () => keep({ code: kept.code, open: true }),
    renew: () => keep({ code: newRoomCode(), open: true }),
  };
}
