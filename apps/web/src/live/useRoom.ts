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
  /** A new code: who knew the old one is out. */
  readonly renew: () => void;
}

/** What a device holds rooms for: the drills it runs, and the session it runs. */
type Holds = 'drill' | 'session';
/** Under what each room is kept here. */
const KEPT_AS: Readonly<Record<Holds, string>> = { drill: 'room', session: 'session-room' };

/** The room of this device's drills as it is kept. */
interface KeptRoom {
  readonly code: string;
  readonly open: boolean;
}

/**
 * The room of this device's drills, or of its sessions. Its code stays the same from set to set and from
 * day to day, so that a screen joined once need not join again.
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

/** The code of the room of this device's drills, which is open from now on. */
export function openDrillRoom(): string {
  const kept = remembered<KeptRoom>(KEPT_AS.drill, { code: newRoomCode(), open: false });
  remember(KEPT_AS.drill, { ...kept, open: true });
  return kept.code;
}
