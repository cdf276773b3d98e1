import { barrierTo, gatewayOf } from '../src/floor/beacons/gateway-address.js';

test.each([
  ['ws://192.168.1.20:4320/?seed=4', 'ws://192.168.1.20:4320'],
  ['wss://gate.local', 'wss://gate.local'],
  ['https://gate.local', null],
  ['192.168.1.20', null],
  ['', null],
])('the gateway of %s is %s', (address, gateway) => {
  expect(gatewayOf(address)).toBe(gateway);
});

test.each([
  // This machine's own needs nobody's leave.
  ['ws://127.0.0.1:4320', [], false, null],
  ['ws://localhost:4320/?faults=all', [], true, null],
  ['ws://192.168.1.20:4320/x', ['ws://192.168.1.20:4320'], false, null],
  ['ws://192.168.1.20:4321', ['ws://192.168.1.20:4320'], false, 'not let'],
  // Not known yet: the browser says.
  ['ws://192.168.1.20:4320', null, false, null],
  ['ws://192.168.1.20:4320', ['ws://192.168.1.20:4320'], true, 'secure page'],
  ['wss://gate.local', ['wss://gate.local'], true, null],
  ['gate.local', ['wss://gate.local'], true, 'no address'],
] as const)('between the page and %s, where %j are let and secure is %s, stands %s', (...given) => {
  const [address, known, isSecure, barrier] = given;
  expect(barrierTo(address, known, isSecure)).toBe(barrier);
});
