import { toLocal, type ClockMatch, type EventName, type TimedEvent } from '../timing/index.js';

/** A light stands at a target, a mat at home base. */
export const DEVICE_KINDS = ['light', 'mat'] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];

/**
 * What a device notices: a light that it `shown` its cue, that somebody is `near` (the loading
 * foot planted) and its `touch`; a mat that the athlete steps `off` it for good, and is `on` it
 * with both feet, settled.
 */
export const SIGNALS = ['shown', 'near', 'touch', 'off', 'on'] as const;
export type Signal = (typeof SIGNALS)[number];

const MEANS: Readonly<Record<Signal, EventName>> = {
  shown: 'cue',
  near: 'arrival',
  touch: 'action',
  off: 'firstMove',
  on: 'home',
};

/**
 * A signal as an event on our clock. The device's own error and that of its clock's match add as
 * squares: a badly matched device is believed less.
 */
export const eventOfSignal = (
  signal: Signal,
  deviceMs: number,
  match: ClockMatch,
  deviceSdMs: number,
): TimedEvent => ({
  name: MEANS[signal],
  atMs: toLocal(match, deviceMs),
  sdMs: Math.hypot(deviceSdMs, match.sdMs),
  source: 'sensor',
});
