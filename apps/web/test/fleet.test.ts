import type { DeviceBody, EventFrame } from '@orthokin/contract/beacons';
import {
  clocked,
  greeted,
  heardOf,
  lightAt,
  matOf,
  missing,
  NO_DEVICES,
  noticed,
  withPresence,
  type Fleet,
} from '../src/beacons/fleet.js';

const DEVICES: DeviceBody[] = [
  { device: 'mat', kind: 'mat', place: 'home', battery: 0.9, sdMs: 3 },
  { device: 'light', kind: 'light', place: 'A', battery: 0.8, sdMs: 4 },
];
/** Device times are ten seconds ahead. */
const exchange = { sent: 1000, remoteReceived: 11_003, remoteReplied: 11_003, received: 1006 };
const matched = (newest = 0): Fleet =>
  clocked(greeted(NO_DEVICES, DEVICES), 'mat', exchange, newest);
const off = (seq: number): EventFrame => ({
  type: 'event',
  device: 'mat',
  seq,
  at: 12_000 + seq,
  signal: 'off',
});

test('an event comes once, on our clock; before its clock is known it is not placed', () => {
  expect(noticed(greeted(NO_DEVICES, DEVICES), off(1)).news).toBeNull();
  const first = noticed(matched(), off(1));
  expect(first.news).toMatchObject({ place: 'home', event: { name: 'firstMove', atMs: 2001 } });
  expect(first.news?.event.sdMs).toBeGreaterThan(3);
  expect(noticed(first.fleet, off(1)).news).toBeNull();
});

test('what is missing is known by its numbers, the last one too', () => {
  const { fleet } = noticed(matched(4), off(2));
  expect(missing(fleet)).toEqual([
    { device: 'mat', from: 1, to: 1 },
    { device: 'mat', from: 3, to: 4 },
  ]);
  expect(heardOf(fleet)).toEqual({ mat: 0, light: 0 });
});

test('a link that comes back finds the devices as they were, and says who is lost', () => {
  const { fleet } = noticed(matched(), off(1));
  const again = greeted(fleet, DEVICES.slice(0, 1));
  expect(matOf(again)).toMatchObject({ isThere: true, stream: { whole: 1 } });
  expect(lightAt(again, 'A')?.isThere).toBe(false);
  expect(lightAt(withPresence(again, 'light', true), 'A')?.isThere).toBe(true);
  expect(withPresence(again, 'nobody', true)).toBe(again);
});
