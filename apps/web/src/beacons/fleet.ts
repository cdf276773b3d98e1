import {
  eventOfSignal,
  gapsOf,
  NOTHING_HEARD,
  take,
  type DeviceKind,
  type Stream,
} from '@orthokin/core/beacon';
import {
  matchClock,
  type ClockExchange,
  type ClockMatch,
  type TimedEvent,
} from '@orthokin/core/timing';
import type { DeviceBody, EventFrame } from '@orthokin/contract/beacons';

const EXCHANGES_KEPT = 40;

/** How a device is. */
export interface Device {
  readonly id: string;
  readonly kind: DeviceKind;
  /** A target's letter, or `home`. */
  readonly place: string;
  readonly sdMs: number;
  readonly battery: number;
  readonly isThere: boolean;
  readonly exchanges: readonly ClockExchange[];
  /** `null` until its clock has been asked. */
  readonly match: ClockMatch | null;
  readonly stream: Stream;
  /** Number of the newest event the device says it has sent. */
  readonly newest: number;
}

export type Fleet = ReadonlyMap<string, Device>;

export const NO_DEVICES: Fleet = new Map();

const changed = (fleet: Fleet, id: string, change: (device: Device) => Partial<Device>): Fleet => {
  const device = fleet.get(id);
  return device ? new Map(fleet).set(id, { ...device, ...change(device) }) : fleet;
};

/** The devices of a hello; what is known of a device from before a lost link is kept. */
export const greeted = (fleet: Fleet, devices: readonly DeviceBody[]): Fleet => {
  const there = new Map<string, Device>(
    devices.map(({ device: id, kind, place, battery, sdMs }) => {
      const known = fleet.get(id);
      const { exchanges = [], match = null, stream = NOTHING_HEARD, newest = 0 } = known ?? {};
      return [
        id,
        { id, kind, place, sdMs, battery, isThere: true, exchanges, match, stream, newest },
      ];
    }),
  );
  const lost = [...fleet].filter(([id]) => !there.has(id));
  return new Map([
    ...there,
    ...lost.map(([id, device]) => [id, { ...device, isThere: false }] as const),
  ]);
};

/** A clock question was answered: times of the question and the answer are epoch ms of ours. */
export const clocked = (fleet: Fleet, id: string, exchange: ClockExchange, newest: number): Fleet =>
  changed(fleet, id, ({ exchanges }) => {
    const kept = [...exchanges, exchange].slice(-EXCHANGES_KEPT);
    return { exchanges: kept, match: matchClock(kept), newest };
  });

export const withBattery = (fleet: Fleet, id: string, battery: number): Fleet =>
  changed(fleet, id, () => ({ battery }));

export const withPresence = (fleet: Fleet, id: string, isThere: boolean): Fleet =>
  changed(fleet, id, () => ({ isThere }));

/** What an event came to. */
export interface Noticed {
  readonly fleet: Fleet;
  /** Where, and what: on our time of day. `null` for a duplicate, or while its clock is unknown. */
  readonly news: { readonly place: string; readonly event: TimedEvent } | null;
}

/** Takes an event in, once, on our clock. One that cannot be placed yet is asked for again later. */
export function noticed(fleet: Fleet, { device: id, seq, at, signal }: EventFrame): Noticed {
  const device = fleet.get(id);
  if (!device?.match) return { fleet, news: null };
  const { stream, isNew } = take(device.stream, seq);
  return {
    fleet: changed(fleet, id, () => ({ stream })),
    news: isNew
      ? { place: device.place, event: eventOfSignal(signal, at, device.match, device.sdMs) }
      : null,
  };
}

/** What is known to be missing, by device. */
export const missing = (
  fleet: Fleet,
): { readonly device: string; readonly from: number; readonly to: number }[] =>
  [...fleet.values()].flatMap(({ id, stream, newest }) =>
    gapsOf(stream, newest).map(([from, to]) => ({ device: id, from, to })),
  );

/** The newest event of each device that everything before has come of, too. */
export const heardOf = (fleet: Fleet): Record<string, number> =>
  Object.fromEntries([...fleet].map(([id, { stream }]) => [id, stream.whole]));

export const lightAt = (fleet: Fleet, letter: string): Device | undefined =>
  [...fleet.values()].find(({ kind, place }) => kind === 'light' && place === letter);

export const matOf = (fleet: Fleet): Device | undefined =>
  [...fleet.values()].find(({ kind }) => kind === 'mat');
