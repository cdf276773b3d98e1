import { useEffect, useState, useSyncExternalStore } from 'react';
import type { BeaconLink, LinkState } from '../../beacons/link.js';
import { NO_DEVICES } from '../../beacons/fleet.js';
import { useRemembered } from '../../device/useRemembered.js';

/** Address of the simulated beacons that ship with the app. */
const STAND_IN = 'ws://127.0.0.1:4320';

const NOT_LINKED: LinkState = { connected: false, fleet: NO_DEVICES, problem: null };
const subscribeToNothing = () => () => undefined;
const notLinked = () => NOT_LINKED;

export interface Beacons {
  readonly address: string;
  readonly setAddress: (address: string) => void;
  readonly link: BeaconLink | null;
  readonly state: LinkState;
}

/** The link to the beacons, while they time a set; its code is loaded only then. */
export function useBeacons(wanted: boolean): Beacons {
  const [address, setAddress] = useRemembered('beacons', STAND_IN);
  const [link, setLink] = useState<BeaconLink | null>(null);
  useEffect(() => {
    if (!wanted) return;
    let made: BeaconLink | null = null;
    let left = false;
    void import('../../beacons/link.js').then((code) => {
      if (left) return;
      made = new code.BeaconLink(address);
      setLink(made);
    });
    return () => {
      left = true;
      made?.close();
      setLink(null);
    };
  }, [wanted, address]);
  const state = useSyncExternalStore(
    link?.subscribe ?? subscribeToNothing,
    link?.snapshot ?? notLinked,
  );
  return { address, setAddress, link, state };
}
