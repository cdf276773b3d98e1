import { Channel, newRoomCode, type Told } from '../src/live/channel.js';
import { answerClock, PeerClock } from '../src/live/peer-clock.js';
import { isRoomCode } from '@orthokin/contract/room';
import { SocketServer, until } from './support/socket-server.js';

let server: SocketServer;
let channel: Channel;

const told = (type: string, body: object) => ({
  ...{ event: 'told', from: 'panel-screen', role: 'panel', type, body },
});
const tells = (type: string) =>
  server.heard
    .map(({ data }) => data as { type: string; to?: string; body: Record<string, number> })
    .filter((data) => data.type === type);

beforeEach(async () => {
  server = await SocketServer.start();
  Object.assign(globalThis, {
    window: { location: { href: server.address.replace('ws', 'http') } },
  });
  channel = new Channel('ACDEFH', 'drill');
  await until(() => channel.snapshot().connected, 'the connection');
});
afterEach(async () => {
  channel.leave();
  await server.stop();
});

test('a code is of letters that are not mistaken for each other', () => {
  const codes = Array.from({ length: 50 }, newRoomCode);
  expect(codes.every(isRoomCode)).toBe(true);
  expect(new Set(codes).size).toBeGreaterThan(45);
});

test('a screen says where it is and what it is, and that it is there', async () => {
  const { pathname, searchParams } = new URL(server.addresses[0] ?? '', 'ws://any');
  expect(pathname).toBe('/api/live');
  expect(Object.fromEntries(searchParams)).toEqual({
    ...{ room: 'ACDEFH', screen: channel.screen, role: 'drill' },
  });
  await until(() => tells('here').length === 1, '“here”');
});

test('who comes is greeted and counted, who goes is not', async () => {
  const changes: number[] = [];
  const stop = channel.subscribe(() => changes.push(channel.snapshot().others.size));
  server.say({ event: 'came', from: 'cue-screen', role: 'cues' });
  await until(() => tells('here').some(({ to }) => to === 'cue-screen'), 'the greeting');
  expect([...channel.snapshot().others]).toEqual([['cue-screen', 'cues']]);
  server.say({ event: 'went', from: 'cue-screen', role: 'cues' });
  await until(() => channel.snapshot().others.size === 0, 'the leaving');
  expect(changes).toEqual([1, 0]);
  stop();
  server.say({ event: 'came', from: 'other-screen', role: 'panel' });
  await until(() => channel.snapshot().others.size === 1, 'another');
  expect(changes).toEqual([1, 0]);
});

test('what is told is read by its name; what is not as agreed is let be', async () => {
  const asks: Told<'ask'>['body'][] = [];
  const calls: string[] = [];
  channel.on('ask', ({ body }) => asks.push(body));
  const stop = channel.on('call', ({ body }) => calls.push(body.letter));
  server.say(told('ask', { act: 'pause' }));
  server.say(told('ask', { act: 'press', name: 'home', atMs: 5, sdMs: 45 }));
  server.say(told('ask', { act: 'press', name: 'home', atMs: 'soon', sdMs: 45 }));
  server.say(told('ask', { act: 'format the disk' }));
  server.say(told('call', { letter: 'A and B' }));
  server.say(told('no such thing', { letter: 'A' }));
  server.say('{"event":"told"');
  server.say({ event: 'refused', field: 'type', given: 'x', allowed: 'y' });
  server.say(told('call', { letter: 'B', from: 'a newer version' }));
  await until(() => calls.length > 0, 'the call');
  expect(calls).toEqual(['B']);
  expect(asks).toMatchObject([{ act: 'pause' }, { act: 'press', name: 'home', atMs: 5, sdMs: 45 }]);
  stop();
  server.say(told('call', { letter: 'C' }));
  server.say(told('ask', { act: 'goOn' }));
  await until(() => asks.length === 3, 'the last ask');
  expect(calls).toEqual(['B']);
});

test('a lost connection is found again; what was told meanwhile is not told late', async () => {
  server.say({ event: 'came', from: 'cue-screen', role: 'cues' });
  await until(() => channel.snapshot().others.size === 1, 'the other screen');
  server.cut();
  await until(() => !channel.snapshot().connected, 'the loss');
  expect(channel.snapshot().others.size).toBe(0);
  channel.tell('call', { letter: 'A' });
  await until(() => channel.snapshot().connected, 'the way back');
  channel.tell('call', { letter: 'B' });
  await until(() => tells('call').length > 0, 'the call');
  expect(tells('call').map(({ body }) => body)).toEqual([{ letter: 'B' }]);
  expect(tells('here').filter(({ to }) => to === undefined)).toHaveLength(2);
});

describe('clocks of two screens', () => {
  test('a question is answered with when it came and when it was replied', async () => {
    const stop = answerClock(channel);
    server.say(told('clock?', { sent: 1234.5 }));
    await until(() => tells('clock').length === 1, 'the answer');
    const [answer] = tells('clock');
    expect(answer?.to).toBe('panel-screen');
    expect(answer?.body['sent']).toBe(1234.5);
    expect(answer?.body['remoteReplied']).toBeGreaterThan(0);
    stop();
  });

  test('are matched by questions: the other is ten seconds ahead', async () => {
    const clock = new PeerClock(channel);
    expect(clock.toPage(0)).toBeNull();
    expect(clock.toHost(0)).toBeNull();
    await until(() => tells('clock?').length > 0, 'a question');
    const sent = tells('clock?')[0]?.body['sent'] ?? NaN;
    const middle = (sent + performance.timeOrigin + performance.now()) / 2 + 10_000;
    server.say(told('clock', { sent, remoteReceived: middle, remoteReplied: middle }));
    await until(() => clock.toHost(0) !== null, 'the match');
    const host = clock.toHost(1000);
    expect(Math.abs((host?.epochMs ?? NaN) - performance.timeOrigin - 11_000)).toBeLessThan(
      4 * (host?.sdMs ?? NaN),
    );
    expect(clock.toPage(host?.epochMs ?? NaN)).toBeCloseTo(1000, 0);
    clock.stop();
  });
});
