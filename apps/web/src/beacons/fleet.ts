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

/** A device's state. */
export interface Device {
  readonly id: string;
  readonly kind: DeviceKind;
  /** A target's letter, or `home`. */
  readonly place: string;
  readonly sdMs: number;
  readonly battery: number;
  readonly isThere: boolean;
  readonly exchanges: readonly ClockExchange[];
  /** `null` until its clock was matched. */
  readonly match: ClockMatch | null;
  readonly stream: Stream;
  /** Number of the newest event the device reports having sent. */
  readonly newest: number;
}

export type Fleet = ReadonlyMap<string, Device>;

export const NO_DEVICES: Fleet = new Map();

const changed = (fleet: Fleet, id: string, change: (device: Device) => Partial<Device>): Fleet => {
  const device = fleet.get(id);
  return device ? new Map(fleet).set(id, { ...device, ...change(device) }) : fleet;
};

/** The devices of a hello frame; what was known before a lost link is kept. */
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

/** Applies the answer to a clock question, whose times are epoch ms of this page. */
export const clocked = (fleet: Fleet, id: string, exchange: ClockExchange, newest: number): Fleet =>
  changed(fleet, id, ({ exchanges }) => {
    const kept = [...exchanges, exchange].slice(-EXCHANGES_KEPT);
    return { exchanges: kept, match: matchClock(kept), newest };
  });

export const withBattery = (fleet: Fleet, id: string, battery: number): Fleet =>
  changed(fleet, id, () => ({ battery }));

export const withPresence = (fleet: Fleet, id: string, isThere: boolean): Fleet =>
  changed(fleet, id, () => ({ isThere }));

/** The result of an event frame. */
export interface Noticed {
  readonly fleet: Fleet;
  /** The place and the event, in epoch ms; `null` for a duplicate, or while the device's clock is unknown. */
  readonly news: { readonly place: string; readonly event: TimedEvent } | null;
}

/** Takes an event in once, converted to our clock. One that cannot be converted yet is requested again later. */
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

/** Numbers of missing events, by device. */
export const missing = (
  fleet: Fleet,
): { readonly device: string; readonly from: number; readonly to: number }[] =>
  [...fleet.values()].flatMap(({ id, stream, newest }) =>
    gapsOf(stream, newest).map(([from, to]) => ({ device: id, from, to })),
  );

/** For each device the number up to which all events have arrived. */
export const heardOf = (fleet: Fleet): Record<string, number> =>
  Object.fromEntries([...fleet].map(([id, { stream }]) => [id, stream.whole]));

export const lightAt = (fleet: Fleet, letter: string): Device | undefined =>
  [...fleet.values()].find(({ kind, place }) => kind === 'light' && place === letter);

export const matOf = (fleet: Fleet): Device | undefined =>
  [...fleet.values()].find(({ kind }) => kind === 'mat');
