import { useEffect, useState } from 'react';
import { Channel, newRoomCode } from './channel.js';
import { answerClock } from './peer-clock.js';
import { remember, remembered } from '../device/preferences.js';
import { useRemembered } from '../device/useRemembered.js';

export interface Room {
  readonly code: string;
  /** `null` until a second screen is wanted. */
  readonly channel: Channel | null;
  readonly open: () => void;
  /** Changes the code, which excludes everybody who knew the old one. */
  readonly renew: () => void;
}

/** What a device runs a room for: its drills, or its session. */
type Holds = 'drill' | 'session';
/** Storage keys of the rooms. */
const KEPT_AS: Readonly<Record<Holds, string>> = { drill: 'room', session: 'session-room' };

/** A stored room of this device's drills. */
interface KeptRoom {
  readonly code: string;
  readonly open: boolean;
}

/**
 * The room of this device's drills or sessions. Its code stays the same from day to day, so that a screen has to join
 * only once.
 */
export function useRoom(clubId: string, holds: Holds = 'drill'): Room {
  const [fresh] = useState(newRoomCode);
  const [kept, keep] = useRemembered<KeptRoom>(KEPT_AS[holds], {
    code: fresh,
    open: false,
  });
  const [channel, setChannel] = useState<Channel | null>(null);
  useEffect(() => {
    if (!kept.open) return;
    const joined = new Channel(kept.code, holds, clubId);
    const silent = answerClock(joined);
    // oxlint-disable-next-line react/set-state-in-effect -- a connection is made, not derived
    setChannel(joined);
    return () => {
      silent();
      joined.leave();
      setChannel(null);
    };
  }, [kept.code, kept.open, holds, clubId]);
  return {
    code: kept.code,
    channel,
    open: () => keep({ code: kept.code, open: true }),
    renew: () => keep({ code: newRoomCode(), open: true }),
  };
}

/** The code of this device's drill room, which is opened if necessary. */
export function openDrillRoom(): string {
  const kept = remembered<KeptRoom>(KEPT_AS.drill, { code: newRoomCode(), open: false });
  remember(KEPT_AS.drill, { ...kept, open: true });
  return kept.code;
}
