import { Channel } from '../src/live/channel.js';
import { SocketServer, until } from './support/socket-server.js';

/** A way between two browsers, as far as a channel sees it. */
class FakeData {
  readyState: 'connecting' | 'open' | 'closed' = 'connecting';
  readonly sent: { type: string; body: object }[] = [];
  onopen = () => undefined;
  onclose = () => undefined;
  onmessage: (event: { data: string; timeStamp: number }) => void = () => undefined;

  send(text: string): void {
    this.sent.push(JSON.parse(text) as { type: string; body: object });
  }

  open(): void {
    this.readyState = 'open';
    this.onopen();
  }

  hear(told: object): void {
    this.onmessage({ data: JSON.stringify(told), timeStamp: 0 });
  }
}

class FakeConnection {
  static readonly all: FakeConnection[] = [];
  readonly data = new FakeData();
  readonly iceGatheringState = 'complete';
  connectionState = 'new';
  onconnectionstatechange = () => undefined;
  localDescription: { sdp: string } | null = null;
  heard: { type: string; sdp: string } | null = null;

  constructor() {
    FakeConnection.all.push(this);
  }

  createDataChannel(): FakeData {
    return this.data;
  }

  setLocalDescription(): Promise<void> {
    this.localDescription = { sdp: 'here' };
    return Promise.resolve();
  }

  setRemoteDescription(heard: { type: string; sdp: string }): Promise<void> {
    this.heard = heard;
    return Promise.resolve();
  }

  close(): void {
    this.connectionState = 'closed';
    this.data.readyState = 'closed';
    this.data.onclose();
  }
}

let server: SocketServer;
let channel: Channel;
const told = (type: string) =>
  server.heard
    .map(({ data }) => data as { type: string; to?: string })
    .filter((data) => data.type === type);
const panel = { from: 'panel-screen', role: 'panel' };

beforeEach(async () => {
  FakeConnection.all.length = 0;
  server = await SocketServer.start();
  Object.assign(globalThis, {
    window: { location: { href: server.address.replace('ws', 'http') } },
    RTCPeerConnection: FakeConnection,
  });
  channel = new Channel('ACDEFH', 'drill');
  await until(() => channel.snapshot().connected, 'the connection');
  server.say({ event: 'came', ...panel });
  await until(() => told('direct').length === 1, 'the offer');
});
afterEach(async () => {
  channel.leave();
  await server.stop();
  Reflect.deleteProperty(globalThis, 'RTCPeerConnection');
});

/** The other side has answered, and the way is open. */
async function way(): Promise<FakeData> {
  const [connection] = FakeConnection.all;
  if (!connection) throw new Error('No way was looked for.');
  server.say({ event: 'told', ...panel, type: 'direct', body: { kind: 'answer', sdp: 'there' } });
  await until(() => connection.heard?.sdp === 'there', 'the answer');
  connection.connectionState = 'connected';
  connection.data.open();
  return connection.data;
}

test('whoever holds the room looks for a way to each screen once, and speaks straight where there is one', async () => {
  const data = await way();
  expect(channel.snapshot().direct).toEqual(new Set(['panel-screen']));
  server.say({ event: 'came', from: 'cue-screen', role: 'cues' });
  await until(() => told('direct').length === 2, 'another offer');
  channel.tell('clear', {});
  await until(() => told('clear').length === 1, 'what is told to the other');
  expect(told('clear')).toMatchObject([{ to: 'cue-screen' }]);
  expect(data.sent).toEqual([{ type: 'clear', body: {} }]);
  channel.tell('over', {}, 'panel-screen');
  expect(data.sent).toHaveLength(2);
  expect(FakeConnection.all).toHaveLength(2);
});

test('when the server is gone they stay together, each held to its role', async () => {
  const data = await way();
  const asked: object[] = [];
  channel.on('ask', ({ body }) => asked.push(body));
  channel.on('set', () => asked.push({ never: true }));
  server.cut();
  await until(() => asked.length === 0 && channel.snapshot().others.size === 1, 'the loss');
  expect(channel.snapshot()).toMatchObject({ connected: true });
  channel.tell('clear', {});
  expect(data.sent.at(-1)).toEqual({ type: 'clear', body: {} });
  data.hear({ type: 'ask', body: { act: 'pause' } });
  data.hear({ type: 'set', body: {} });
  data.hear({ type: 'direct', body: { kind: 'offer', sdp: 'x' } });
  data.hear({ type: 7 });
  expect(asked).toEqual([{ act: 'pause' }]);
});

test('a way that falters is left for the server’s until it is found again', async () => {
  const data = await way();
  const [connection] = FakeConnection.all;
  const turns = (state: string) => {
    if (connection) connection.connectionState = state;
    connection?.onconnectionstatechange();
  };
  turns('disconnected');
  expect(channel.snapshot().direct.size).toBe(0);
  channel.tell('clear', {});
  await until(() => told('clear').length === 1, 'what goes by the server');
  turns('connected');
  channel.tell('over', {}, 'panel-screen');
  expect(data.sent).toEqual([{ type: 'over', body: {} }]);
});

test.each([
  ['is ended here', () => channel.end('panel-screen')],
  ['went, at a server that stays', () => server.say({ event: 'went', ...panel })],
  [
    'is not let in',
    () => server.say({ event: 'refused', field: 'screen', given: 'x', allowed: 'y' }),
  ],
])('a screen that %s has no way past the server either', async (_, end) => {
  await way();
  end();
  await until(() => channel.snapshot().direct.size === 0, 'the end');
  expect(FakeConnection.all[0]?.connectionState).toBe('closed');
});

test('a screen that was shown the door is not there for what it still says by its way', async () => {
  const data = await way();
  server.say({ event: 'went', ...panel });
  data.hear({ type: 'clock?', body: { sent: 1 } });
  await until(() => channel.snapshot().others.size === 0, 'the end');
  // What was under way when the way was closed.
  data.hear({ type: 'clock?', body: { sent: 2 } });
  expect(channel.snapshot()).toMatchObject({ others: new Map(), direct: new Set() });
});

test('a screen whose way ends when the server has gone is not there any more', async () => {
  const data = await way();
  server.cut();
  data.readyState = 'closed';
  data.onclose();
  await until(() => channel.snapshot().others.size === 0, 'the end');
});

test('where there is no way, it is not looked for without end', async () => {
  for (let n = 0; n < 6; n++) {
    FakeConnection.all.at(-1)?.close();
    server.say({ event: 'told', ...panel, type: 'here', body: {} });
    await new Promise((done) => setTimeout(done, 30));
  }
  expect(FakeConnection.all).toHaveLength(3);
});
