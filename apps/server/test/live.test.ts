import { createHash } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import {
  LIVE_ROLES,
  type DeviceReply,
  type JoinedScreenReply,
  type LiveNews,
  type LiveRole,
} from '@orthokin/contract';
import type { LiveMessageName } from '@orthokin/contract/live-messages';
import request from 'supertest';
import { v7 } from 'uuid';
import { WebSocket } from 'ws';
import { createApp } from '../src/app.js';
import { Sessions } from '../src/platform/auth/sessions.js';
import { OWNER, SIGN_IN, Somebody } from './support/somebody.js';
import { onCluster, SECRET, TestServer, urlsOf } from './support/server.js';

let server: TestServer;
/** A second process in all but name: an application of its own on the same database. */
let other: Awaited<ReturnType<typeof createApp>>;
let addresses: [string, string];
/** What others know a screen by. */
const known = (name: string): string =>
  createHash('sha256').update(`${name}-screen`).digest('base64url').slice(0, 22);

const screens: Screen[] = [];

const ROOM = 'ACDEF3';

class Screen {
  private readonly heard: LiveNews[] = [];
  private wake: () => void = () => undefined;

  private constructor(readonly socket: WebSocket) {
    socket.on('message', (data: Buffer) => {
      this.heard.push(JSON.parse(data.toString()) as LiveNews);
      this.wake();
    });
  }

  static async join(
    at: 0 | 1,
    name: string,
    query = `room=${ROOM}&role=cues`,
    headers: Record<string, string> = {},
  ): Promise<Screen> {
    const address = addresses[at].replace('http', 'ws');
    const socket = new WebSocket(`${address}/api/live?screen=${name}-screen&${query}`, { headers });
    const screen = new Screen(socket);
    screens.push(screen);
    await new Promise((open, fail) => socket.once('open', open).once('error', fail));
    if (/role=(drill|session)/.test(query)) await screen.isLetIn();
    return screen;
  }

  /** Whoever holds a room is asked who they are: what they say is answered once that is known. */
  private async isLetIn(): Promise<void> {
    this.tell({ type: 7, body: {} });
    const refused = await this.next('refused');
    // It was not let in, which is for the test to hear.
    if ('field' in refused && refused.field !== 'type') this.heard.push(refused);
  }

  tell(data: object): void {
    this.socket.send(JSON.stringify({ event: 'tell', data }));
  }

  /** The next thing heard of this kind. */
  async next(event: LiveNews['event']): Promise<LiveNews> {
    for (;;) {
      const at = this.heard.findIndex((news) => news.event === event);
      const [news] = at < 0 ? [] : this.heard.splice(at, 1);
      if (news) return news;
      await new Promise<void>((woken) => (this.wake = woken));
    }
  }

  get hasBeenTold(): boolean {
    return this.heard.some(({ event }) => event === 'told');
  }

  get silent(): boolean {
    return this.heard.length === 0;
  }
}

beforeAll(async () => {
  server = await TestServer.start();
  other = await createApp({
    ...urlsOf(server.databaseUrl),
    host: '127.0.0.1',
    port: 0,
    demo: 'none',
    sessionSecret: SECRET,
  });
  await other.listen(0, '127.0.0.1');
  const { port } = other.getHttpServer().address() as AddressInfo;
  addresses = [server.address, `http://127.0.0.1:${port}`];
}, 60_000);
afterEach(() => {
  for (const { socket } of screens.splice(0)) socket.close();
});
afterAll(async () => {
  await other.close();
  await server.stop();
});

test.each([
  ['one process', 0],
  ['two processes on one database', 1],
] as const)('screens hear each other through %s, and not themselves', async (_, at) => {
  const drill = await Screen.join(0, 'drill', `room=${ROOM}&role=drill`);
  const cues = await Screen.join(at, 'cues', `room=${ROOM}&role=caller`);
  expect(await drill.next('came')).toMatchObject({ from: known('cues'), role: 'caller' });
  drill.tell({ type: 'coming', body: { letter: 'B' } });
  expect(await cues.next('told')).toEqual({
    event: 'told',
    from: known('drill'),
    role: 'drill',
    type: 'coming',
    body: { letter: 'B' },
  });
  cues.tell({ type: 'call', to: known('drill'), body: { letter: 'A' } });
  expect(await drill.next('told')).toMatchObject({ type: 'call', from: known('cues') });
  cues.socket.close();
  expect(await drill.next('went')).toMatchObject({ from: known('cues') });
  expect(drill.silent).toBe(true);
});

test('the same thing said many times at once is heard as often, in order', async () => {
  const drill = await Screen.join(0, 'drill', `room=${ROOM}&role=drill`);
  const far = await Screen.join(1, 'far');
  await drill.next('came');
  for (let n = 0; n < 20; n++) drill.tell({ type: n < 10 ? 'first' : 'second', body: {} });
  const heard: unknown[] = [];
  for (let n = 0; n < 20; n++) heard.push(((await far.next('told')) as { type: string }).type);
  expect(heard).toEqual([...Array<string>(10).fill('first'), ...Array<string>(10).fill('second')]);
});

test('what is told to one, or in another room, is not heard by the rest', async () => {
  const drill = await Screen.join(0, 'drill', `room=${ROOM}&role=drill`);
  const near = await Screen.join(0, 'near');
  const far = await Screen.join(1, 'far');
  const elsewhere = await Screen.join(1, 'elsewhere', 'room=XYX777&role=cues');
  for (let n = 0; n < 2; n++) await drill.next('came');
  drill.tell({ type: 'for far', to: known('far'), body: {} });
  drill.tell({ type: 'for all', body: {} });
  expect(await far.next('told')).toMatchObject({ type: 'for far' });
  expect(await far.next('told')).toMatchObject({ type: 'for all' });
  expect(await near.next('told')).toMatchObject({ type: 'for all' });
  expect(elsewhere.silent).toBe(true);
});

test.each([
  ['a code nobody could have read out', 'room=oooooo&role=cues', 'room'],
  ['a role there is not', `room=${ROOM}&role=spy`, 'role'],
])('%s is refused with what is allowed', async (_, query, field) => {
  const screen = await Screen.join(0, 'stranger', query);
  const closed = new Promise<number>((done) => screen.socket.once('close', (code) => done(code)));
  expect(await screen.next('refused')).toMatchObject({ field });
  expect(await closed).toBe(1008);
});

test('what cannot be understood is refused by field; the screen stays', async () => {
  const screen = await Screen.join(0, 'muddled');
  screen.tell({ type: 7, body: {} });
  expect(await screen.next('refused')).toMatchObject({ field: 'type', given: '7' });
  screen.tell({ type: 'x', body: 'words' });
  expect(await screen.next('refused')).toMatchObject({ field: 'body' });
  expect(screen.socket.readyState).toBe(WebSocket.OPEN);
});

test('a screen that says too much is put out', async () => {
  const screen = await Screen.join(0, 'talker');
  const closed = new Promise<number>((done) => screen.socket.once('close', (code) => done(code)));
  for (let n = 0; n < 200; n++) screen.tell({ type: 'x', body: {} });
  expect(await closed).toBe(1008);
});

test('a lost ear for notices grows again, and screens of two processes hear each other', async () => {
  await onCluster(
    `select pg_terminate_backend(pid) from pg_stat_activity where query ilike 'listen %'`,
  );
  const here = await Screen.join(0, 'here', `room=${ROOM}&role=drill`);
  const there = await Screen.join(1, 'there');
  const repeated = setInterval(() => here.tell({ type: 'call', body: { letter: 'A' } }), 100);
  const told = await there.next('told');
  clearInterval(repeated);
  expect(told).toMatchObject({ from: known('here'), type: 'call', body: { letter: 'A' } });
});

test('nobody comes as a screen they have heard of', async () => {
  const drill = await Screen.join(0, 'owner', `room=${ROOM}&role=drill`);
  const friend = await Screen.join(0, 'friend');
  expect(known('owner')).not.toBe('owner-screen');
  drill.tell({ type: 'x', to: known('friend'), body: {} });
  expect(await friend.next('told')).toMatchObject({ from: known('owner') });
});

/** Who may say what: a message or a role that is added does not compile until it is said here. */
const HOLDER = ['drill', 'session'] as const;
const SAID_BY: Readonly<Record<LiveMessageName, readonly LiveRole[]>> = {
  here: LIVE_ROLES,
  direct: LIVE_ROLES,
  'clock?': LIVE_ROLES,
  call: [...HOLDER, 'caller'],
  ask: [...HOLDER, 'panel', 'stations'],
  at: [...HOLDER, 'station'],
  ...{
    set: HOLDER,
    run: HOLDER,
    coming: HOLDER,
    clear: HOLDER,
    over: HOLDER,
    board: HOLDER,
    clock: HOLDER,
  },
};

test.each(LIVE_ROLES)(
  'a screen that came as %s says what is its own, and nothing else',
  async (role) => {
    const room = `room=XYX774&role`;
    const [listener, joined] = [
      await Screen.join(0, `holder-${role}`, `${room}=drill`),
      await Screen.join(1, `joined-${role}`, `${room}=${role}`),
    ];
    await listener.next('came');
    for (const [type, by] of Object.entries(SAID_BY)) {
      joined.tell({ type, body: {} });
      if (by.includes(role)) expect(await listener.next('told')).toMatchObject({ type, role });
      else expect(await joined.next('refused')).toMatchObject({ field: 'type', given: type });
    }
    if (!HOLDER.some((holder) => holder === role)) {
      joined.tell({ type: 'a name of its own', body: {} });
      expect(await joined.next('refused')).toMatchObject({ field: 'type' });
    }
    expect(listener.hasBeenTold).toBe(false);
  },
);

test('whoever holds the room shows a screen the door, at whichever server it came in; others cannot', async () => {
  const room = 'room=XYX779';
  const drill = await Screen.join(0, 'holder', `${room}&role=drill`);
  const one = await Screen.join(1, 'one', `${room}&role=cues`);
  const two = await Screen.join(0, 'two', `${room}&role=cues`);
  for (let n = 0; n < 2; n++) await drill.next('came');
  const closed = new Promise<number>((done) => one.socket.once('close', (code) => done(code)));
  two.socket.send(JSON.stringify({ event: 'end', data: { screen: known('one') } }));
  drill.socket.send(JSON.stringify({ event: 'end', data: { screen: known('one') } }));
  expect(await closed).toBe(1008);
  expect(await drill.next('went')).toMatchObject({ from: known('one') });
  // It cannot come back, at either of them.
  for (const at of [0, 1] as const)
    expect(await (await Screen.join(at, 'one', `${room}&role=cues`)).next('refused')).toMatchObject(
      { field: 'screen' },
    );
  expect(two.socket.readyState).toBe(WebSocket.OPEN);
});

/** What an owner sees joined, as soon as all that is meant has come or gone. */
async function joinedAs(
  owner: Somebody,
  path: string,
  isMeant: (joined: readonly JoinedScreenReply[]) => boolean,
): Promise<readonly JoinedScreenReply[]> {
  for (;;) {
    const { body } = await owner.get(path).expect(200);
    if (isMeant(body as JoinedScreenReply[])) return body as JoinedScreenReply[];
    await new Promise((done) => setTimeout(done, 100));
  }
}

test('an owner sees the screens of every drill of the club, at whichever server, and ends them there', async () => {
  const owner = new Somebody(server);
  const room = 'XYX477';
  const path = server.club('screens');
  // The one that only joins comes first: nobody knows of which club the room is.
  const early = await Screen.join(1, 'early', `room=${room}&role=panel`);
  const club = `club=${server.clubId}`;
  await Screen.join(0, 'held', `room=${room}&role=drill&${club}`);
  await early.next('came');
  const late = await Screen.join(1, 'late', `room=${room}&role=cues`, {
    'User-Agent': 'Mozilla/5.0 (iPad; CPU OS 18) Safari/605',
  });
  const ofRoom = (all: readonly JoinedScreenReply[]) => all.filter((each) => each.room === room);
  const seen = ofRoom(await joinedAs(owner, path, (all) => ofRoom(all).length === 3));
  expect(seen.map(({ role }) => role)).toEqual(['drill', 'panel', 'cues']);
  expect(seen[2]).toMatchObject({ screen: known('late'), device: 'iPad, Safari', name: '' });
  const out = new Promise<number>((done) => late.socket.once('close', (code) => done(code)));
  await owner.delete(server.club(`screens/${room}/${known('late')}`)).expect(200);
  expect(await out).toBe(1008);
  expect(early.socket.readyState).toBe(WebSocket.OPEN);
  const left = await joinedAs(owner, path, (all) => ofRoom(all).length === 2);
  expect(ofRoom(left).map(({ role }) => role)).toEqual(['drill', 'panel']);
  await owner.delete(server.club(`screens/${room}/${known('late')}`)).expect(404);
});

test('nobody holds a room for a club that is not theirs', async () => {
  const screen = await Screen.join(0, 'other-club', `room=XYX474&role=drill&club=${v7()}`);
  expect(await screen.next('refused')).toMatchObject({ field: 'role' });
});

test('a page of another origin, or by another name, is not let in', async () => {
  const { port } = new URL(addresses[0]);
  const query = `room=${ROOM}&screen=some-screen&role=cues`;
  for (const headers of [{ Origin: 'http://evil.example' }, { Host: 'evil.example' }]) {
    const socket = new WebSocket(`ws://127.0.0.1:${port}/api/live?${query}`, { headers });
    const code = await new Promise<number>((done) => socket.once('close', done));
    expect(code).toBe(1008);
  }
});

test('once clubs have owners, a room is held by whoever is signed in to run drills, and by nobody else', async () => {
  const owner = new Somebody(server);
  await owner.put(server.club('owner'), OWNER).expect(200);
  const closed = ({ socket }: Screen) =>
    new Promise<number>((done) => socket.once('close', (code) => done(code)));
  const nobody = await Screen.join(0, 'nobody', `room=${ROOM}&role=drill`);
  const out = closed(nobody);
  nobody.tell({ type: 'over', body: {} });
  expect(await nobody.next('refused')).toMatchObject({ field: 'role', given: 'drill' });
  expect(await out).toBe(1008);
  // A screen that only joins needs no account.
  const joined = await Screen.join(0, 'no-account');
  const { headers } = await request(server.address).post('/api/sign-in').send(SIGN_IN);
  const cookie = headers['set-cookie']?.[0]?.split(';')[0] ?? '';
  const held = await Screen.join(1, 'signed-in', `room=${ROOM}&role=drill`, { Cookie: cookie });
  // Said before the server knows who says it, it is heard all the same.
  held.tell({ type: 'over', body: {} });
  expect(await joined.next('told')).toMatchObject({ type: 'over' });
  // Whoever is signed out meanwhile holds it no more.
  const gone = closed(held);
  const { body } = await owner.get(server.club('devices')).expect(200);
  for (const { id, isThis } of body as DeviceReply[])
    if (!isThis) await owner.delete(server.club(`devices/${id}`)).expect(200);
  // At another server that is looked at now and then; here at once.
  other.get(Sessions).readAnew();
  expect(await held.next('refused')).toMatchObject({ field: 'role' });
  expect(await gone).toBe(1008);
});
