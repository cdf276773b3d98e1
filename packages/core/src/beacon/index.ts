export { DEVICE_KINDS, eventOfSignal, SIGNALS, type DeviceKind, type Signal } from './signal.js';
export { gapsOf, NOTHING_HEARD, take, type Stream, type Taken } from './stream.js';
