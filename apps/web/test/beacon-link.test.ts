import 'reflect-metadata';
import { BEACON_PROTOCOL } from '@orthokin/contract/beacons';
import { BeaconLink, type Noticing } from '../src/beacons/link.js';
import { SocketServer, until } from './support/socket-server.js';

let server: SocketServer;
let link: BeaconLink;

/** Device times are so far ahead of this machine's. */
const AHEAD_MS = 60_000;
const epochNow = () => performance.timeOrigin + performance.now();
const hello = {
  ...{ type: 'hello', protocol: BEACON_PROTOCOL, gateway: 'test' },
  devices: [
    { device: 'mat', kind: 'mat', place: 'home', battery: 0.9, sdMs: 3 },
    { device: 'light', kind: 'light', place: 'A', battery: 0.8, sdMs: 2 },
  ],
};
const asked = (type: string) => server.heard.filter((ask) => ask['type'] === type);
const event = (seq: number, atMs = epochNow()) => ({
  ...{ type: 'event', device: 'mat', seq, at: atMs + AHEAD_MS, signal: 'off' },
});

/** Answers every clock question that has come. */
function answerClocks(last = 0): void {
  const now = epochNow() + AHEAD_MS;
  for (const { device, id } of server.heard.splice(0).filter(({ type }) => type === 'clock'))
    server.say({ type: 'clock', device, id, received: now, replied: now, last });
}
const fleet = () => link.snapshot().fleet;

beforeEach(async () => {
  server = await SocketServer.start();
  link = new BeaconLink(`${server.address}/?seed=7`);
  await until(() => link.snapshot().connected, 'the connection');
});
afterEach(async () => {
  link.close();
  await server.stop();
});

async function matched(): Promise<void> {
  server.say(hello);
  await until(() => asked('clock').length >= 2, 'questions to both clocks');
  answerClocks();
  await until(() => [...fleet().values()].every(({ match }) => match), 'both clocks');
}

test('keeps the address’s own choices, adds its session, and asks first for what it missed', async () => {
  const { searchParams } = new URL(server.addresses[0] ?? '', 'ws://any');
  expect(searchParams.get('seed')).toBe('7');
  expect(searchParams.get('session')).toMatch(/^[\w-]{36}$/);
  await until(() => asked('resume').length === 1, 'the question');
  expect(asked('resume')[0]).toEqual({ type: 'resume', heard: {} });
});

test('an event is on this page’s time, with the doubt of the match in it', async () => {
  await matched();
  const heard: Noticing[] = [];
  const stop = link.onNoticed((noticing) => heard.push(noticing));
  const atMs = epochNow();
  server.say(event(1, atMs));
  server.say(event(1, atMs));
  await until(() => heard.length > 0, 'the event');
  expect(heard).toHaveLength(1);
  expect(heard[0]?.event).toMatchObject({ name: 'firstMove', source: 'sensor' });
  const { atMs: placed = NaN, sdMs = 0 } = heard[0]?.event ?? {};
  expect(Math.abs(placed - atMs)).toBeLessThan(3 * sdMs);
  stop();
});

test('a light is lit at a time of its own clock; one that is not there is not', async () => {
  await matched();
  const atMs = epochNow() + 500;
  link.cue('A', atMs);
  link.cue('B', atMs);
  await until(() => asked('cue').length > 0, 'the cue');
  expect(asked('cue')).toHaveLength(1);
  expect(Number(asked('cue')[0]?.['at'])).toBeCloseTo(atMs + AHEAD_MS, -2);
});

test('what is missing is asked for until it has come', async () => {
  await matched();
  server.say(event(3));
  await until(() => asked('resend').length > 0, 'the question');
  expect(asked('resend')[0]).toEqual({ type: 'resend', device: 'mat', from: 1, to: 2 });
  server.say(event(1));
  server.say(event(2));
  await until(() => fleet().get('mat')?.stream.whole === 3, 'the whole stream');
});

test('a lost link is joined again, knowing what it has heard', async () => {
  await matched();
  server.say(event(1));
  await until(() => fleet().get('mat')?.stream.whole === 1, 'the event');
  server.cut();
  await until(() => !link.snapshot().connected, 'the loss');
  server.heard.length = 0;
  await until(() => asked('resume').length > 0, 'the way back');
  expect(asked('resume')[0]).toMatchObject({ heard: { mat: 1, light: 0 } });
});

test('batteries and devices that go and come are kept; a strange frame is a problem, not the end', async () => {
  await matched();
  server.say({ type: 'battery', device: 'light', level: 0.05 });
  server.say({ type: 'gone', device: 'light' });
  await until(() => fleet().get('light')?.isThere === false, 'the leaving');
  expect(fleet().get('light')?.battery).toBe(0.05);
  server.say({ type: 'battery', device: 'light', level: 7 });
  await until(() => link.snapshot().problem !== null, 'the problem');
  expect(link.snapshot().problem).toMatch(/level/);
  server.say({ type: 'back', device: 'light' });
  await until(() => fleet().get('light')?.isThere === true, 'the return');
});

test('an address that is none is said, and nothing is tried', () => {
  const none = new BeaconLink('the shelf');
  expect(none.snapshot().problem).toContain('the shelf');
  expect(none.snapshot().connected).toBe(false);
  none.arm({});
  none.close();
});
