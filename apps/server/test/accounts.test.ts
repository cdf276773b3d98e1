import { request as plainRequest } from 'node:http';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type {
  AccountReply,
  DeviceReply,
  InvitationBody,
  InvitationReply,
  MeReply,
  PersonReply,
  SetReviewReply,
  SquadLineReply,
} from '@orthokin/contract';
import request from 'supertest';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';
import { OWNER, SIGN_IN, Somebody } from './support/somebody.js';

let server: TestServer;
let owner: Somebody;
let people: PersonReply[];
beforeAll(async () => {
  server = await TestServer.start();
  people = (await server.get(server.club('athletes'))).body as PersonReply[];
  owner = new Somebody(server);
  await owner.put(server.club('owner'), OWNER).expect(200);
});
afterAll(() => server.stop());

const invite = async (change: Partial<InvitationBody> = {}): Promise<InvitationReply> => {
  const body: InvitationBody = {
    ...{ name: 'Rowan', role: 'coach', athleteIds: [], email: null, days: 7, accountId: null },
    ...change,
  };
  const { body: reply } = await owner.put(server.club(`invitations/${v7()}`), body).expect(200);
  return reply as InvitationReply;
};
const account = (email: string) => ({ name: 'Rowan', email, password: 'four quick corners' });

test('a club with an owner is nobody’s who is not signed in', async () => {
  const { body } = await server.get('/api/me').expect(200);
  expect(body).toEqual({
    signedIn: null,
    open: [],
    isThisMachine: true,
    hasOwned: true,
    canTryRoles: false,
  });
  expect((await server.get('/api/clubs')).body).toEqual([]);
  await server.get(server.club('squad')).expect(401);
  await server.put(server.club('owner'), OWNER).expect(404);
});

test('only the first of two who make themselves its owner at once is', async () => {
  const clubId = v7();
  await server.put(`/api/clubs/${clubId}`, { name: 'Another' }).expect(200);
  const tries = await Promise.all(
    ['one', 'two', 'three'].map((who) =>
      new Somebody(server).put(`/api/clubs/${clubId}/owner`, {
        ...OWNER,
        email: `${who}@example.org`,
      }),
    ),
  );
  expect(tries.filter(({ status }) => status === 200)).toHaveLength(1);
  const rows = await server.read(`select from account where club_id = '${clubId}'`);
  expect(rows).toHaveLength(1);
});

test('whoever signs in is answered alike whether the address is known or not', async () => {
  const wrong = async (email: string) => {
    const { status, body } = await server.post('/api/sign-in').send({ email, password: 'guess' });
    return { status, body };
  };
  expect(await wrong(OWNER.email)).toEqual(await wrong('nobody@example.org'));
  const back = new Somebody(server);
  // However it is written.
  await back.post('/api/sign-in', { ...SIGN_IN, email: ' Mara@Example.ORG ' }).expect(200);
  const { body } = await back.get('/api/me');
  expect((body as MeReply).signedIn).toMatchObject({ role: 'owner', name: 'Mara' });
});

test('guessing is slowed where it comes from; elsewhere the right one is let in', async () => {
  const from = (localAddress: string, password: string) =>
    new Promise<number>((done, fail) => {
      const body = JSON.stringify({ email: OWNER.email, password });
      const sent = plainRequest(
        `${server.address}/api/sign-in`,
        { method: 'POST', localAddress, headers: { 'Content-Type': 'application/json' } },
        (response) => {
          response.resume();
          done(response.statusCode ?? 0);
        },
      );
      sent.on('error', fail).end(body);
    });
  const guesses = await Promise.all(
    Array.from({ length: 12 }, (_, i) => from('127.0.0.9', `guess number ${i}`)),
  );
  expect(guesses.filter((status) => status === 401)).toHaveLength(6);
  expect(guesses.filter((status) => status === 429)).toHaveLength(6);
  expect(await from('127.0.0.9', OWNER.password)).toBe(429);
  expect(await from('127.0.0.8', OWNER.password)).toBe(200);
});

test('a password easily guessed is refused, with why', async () => {
  const { token } = await invite();
  for (const [password, given] of [
    ['short', 'short'],
    ['aaaaaaaaaaaa', 'one thing over and over'],
    ['weak.one@example.org', 'the address'],
  ] as const) {
    const { status, body } = await server
      .post('/api/invited/accept')
      .send({ token, account: { name: 'R', email: 'weak.one@example.org', password } });
    expect({ status, text: JSON.stringify(body) }).toEqual({
      ...{ status: 400, text: expect.stringContaining(given) as string },
    });
  }
});

test('an invitation makes one account, however many take it up at once', async () => {
  const { token, id } = await invite();
  const { body: what } = await server.post('/api/invited').send({ token });
  expect(what).toMatchObject({ role: 'coach', name: 'Rowan', resets: null });
  const taken = await Promise.all(
    ['r1@example.org', 'r2@example.org'].map((email) =>
      new Somebody(server).post('/api/invited/accept', { token, account: account(email) }),
    ),
  );
  expect(taken.map(({ status }) => status).sort((a, b) => a - b)).toEqual([200, 404]);
  const { body } = await owner.get(server.club('invitations'));
  expect((body as InvitationReply[]).map((each) => each.id)).not.toContain(id);
  // The link is nowhere to be read again.
  const [row] = await server.read<{ all: string }>(
    `select json_agg(i)::text as all from invitation i`,
  );
  expect(row?.all ?? '').not.toContain(token ?? '-');
});

test('an invitation can be taken back, and grows old', async () => {
  const back = await invite();
  await owner.delete(server.club(`invitations/${back.id}`)).expect(200);
  await server.post('/api/invited').send({ token: back.token }).expect(404);
  const old = await invite();
  await server.run(`update invitation set until = now() - interval '1 s' where id = '${old.id}'`);
  await server.post('/api/invited').send({ token: old.token }).expect(404);
});

test('an athlete’s link lets their device in until its day, without an account', async () => {
  const own = people[0]?.id ?? '';
  const { token } = await invite({ role: 'athlete', athleteIds: [own], days: 2 });
  const phone = new Somebody(server);
  const { body } = await phone.post('/api/invited/accept', { token, account: null }).expect(200);
  expect((body as MeReply).signedIn).toMatchObject({ role: 'athlete', athleteIds: [own] });
  const { body: seen } = await phone.get(server.club('athletes')).expect(200);
  expect((seen as PersonReply[]).map(({ id }) => id)).toEqual([own]);
  const [row] = await server.read<{ days: number }>(
    `select extract(epoch from max(expire) - now()) / 86400 as days from web_session
     where sess #>> '{signedIn,role}' = 'athlete'`,
  );
  expect(Number(row?.days)).toBeCloseTo(2, 2);
  // A coach cannot come in so.
  const coach = await invite();
  await server.post('/api/invited/accept').send({ token: coach.token, account: null }).expect(400);
});

test('a coach hands an athlete a link of their own, and lets in nobody else', async () => {
  const { token } = await invite({ name: 'Nell' });
  const nell = new Somebody(server);
  await nell.post('/api/invited/accept', { token, account: account('nell@example.org') });
  const body = { name: 'Nell', athleteIds: [], email: null, days: 31, accountId: null };
  for (const role of ['owner', 'coach', 'assistant'])
    await nell.put(server.club(`invitations/${v7()}`), { ...body, role }).expect(403);
  const own = { ...body, role: 'athlete', athleteIds: [people[1]?.id ?? ''] };
  const { body: made } = await nell.put(server.club(`invitations/${v7()}`), own).expect(200);
  expect(made).toMatchObject({ role: 'athlete', token: expect.any(String) as string });
  const { body: accounts } = await owner.get(server.club('accounts'));
  const [mara] = accounts as AccountReply[];
  const reset = { ...own, accountId: mara?.id ?? '' };
  await nell.put(server.club(`invitations/${v7()}`), reset).expect(403);
});

test('a new password by an owner’s link signs every other device out', async () => {
  const { token } = await invite({ name: 'Ines' });
  const ines = new Somebody(server);
  await ines.post('/api/invited/accept', { token, account: account('ines@example.org') });
  const { body } = await owner.get(server.club('accounts'));
  const own = (body as AccountReply[]).find(({ email }) => email === 'ines@example.org');
  const reset = await invite({ name: 'Ines', accountId: own?.id ?? '' });
  const { body: what } = await server.post('/api/invited').send({ token: reset.token });
  expect(what).toMatchObject({ name: 'Ines', resets: 'ines@example.org' });
  const other = new Somebody(server);
  const anew = { ...account('ines@example.org'), password: 'another good one' };
  // One that will not do does not use the link up.
  const weak = { token: reset.token, account: { ...anew, password: 'aaaaaaaaaaaa' } };
  await other.post('/api/invited/accept', weak).expect(400);
  await other.post('/api/invited/accept', { token: reset.token, account: anew }).expect(200);
  await ines.get(server.club('squad')).expect(401);
  await other.get(server.club('squad')).expect(200);
  // And by oneself, knowing the one before.
  const change = { before: 'not this', password: 'yet another good one' };
  await other.put('/api/me/password', change).expect(400);
  await other.put('/api/me/password', { ...change, before: 'another good one' }).expect(200);
  await other.get(server.club('squad')).expect(200);
});

test('what an account may do changes at once; the last owner stays one', async () => {
  const { token } = await invite({ name: 'Tam' });
  const tam = new Somebody(server);
  await tam.post('/api/invited/accept', { token, account: account('tam@example.org') });
  const { body } = await owner.get(server.club('accounts'));
  const accounts = body as AccountReply[];
  const own = accounts.find(({ email }) => email === 'tam@example.org');
  await owner
    .put(server.club(`accounts/${own?.id ?? ''}`), { role: 'assistant', athleteIds: [] })
    .expect(200);
  await tam.get(server.club('squad')).expect(401);
  const mara = accounts.find(({ role }) => role === 'owner');
  const last = server.club(`accounts/${mara?.id ?? ''}`);
  await owner.put(last, { role: 'coach', athleteIds: [] }).expect(409);
  await owner.delete(last).expect(409);
  await owner.get(server.club('accounts')).expect(200);
});

test('devices are listed and ended by their owner, and nobody sees those of others', async () => {
  const floor = new Somebody(server);
  await floor.post('/api/sign-in', SIGN_IN).expect(200);
  await floor.put(server.club('floor-device'), { name: 'Tablet, court 2' }).expect(200);
  const { body: own } = await floor.get(server.club('devices'));
  expect(own).toMatchObject([{ name: 'Tablet, court 2', role: 'floor', isThis: true }]);
  await floor.get(server.club('squad')).expect(200);
  await floor.get(server.club('athletes')).expect(403);
  const { body } = await owner.get(server.club('devices'));
  const tablet = (body as DeviceReply[]).find(({ name }) => name === 'Tablet, court 2');
  await owner.delete(server.club(`devices/${tablet?.id ?? ''}`)).expect(200);
  await floor.get(server.club('squad')).expect(401);
  await owner.delete(server.club(`devices/${tablet?.id ?? ''}`)).expect(404);
});

test('an invitation is mailed where there is an address for it', async () => {
  await invite({ email: 'rowan@example.org', name: 'Rowan\r\nBcc: all@example.org' });
  const [letter = ''] = await readdir(server.outbox);
  const text = await readFile(join(server.outbox, letter), 'utf8');
  expect(text).toMatch(/^To: rowan@example\.org\r\n/);
  expect(text).toMatch(/\/invited#[\w-]{43}/);
});

test('a cookie is no script’s to read, and no other page’s to send', async () => {
  const { headers } = await request(server.address).post('/api/sign-in').send(SIGN_IN);
  expect(headers['set-cookie']?.[0]).toMatch(/HttpOnly; SameSite=Strict/);
  const cookie = headers['set-cookie']?.[0]?.split(';')[0] ?? '';
  const { status } = await request(server.address)
    .put(server.club('owner'))
    .set({ Cookie: cookie, Origin: 'http://evil.example' })
    .send(OWNER);
  expect(status).toBe(403);
  // Signed with another secret it is nobody's.
  const forged = cookie.replace(/\.[^.]*$/, '.AAAA');
  await request(server.address).get(server.club('squad')).set('Cookie', forged).expect(401);
});

test('who wrote a note or corrected a rep is who signed in, whatever name is sent', async () => {
  const { body: squad } = await owner.get(server.club('squad'));
  const lines = squad as SquadLineReply[];
  const line = lines.find(({ lastSet }) => lastSet !== null);
  const [setId, now] = [line?.lastSet?.id ?? '', new Date().toISOString()];
  const note = {
    ...{ setId, text: 'Early.', writtenBy: 'Somebody else', writtenAt: now, removed: false },
  };
  const { body: kept } = await owner.put(server.club(`notes/${v7()}`), note).expect(200);
  expect(kept).toMatchObject({ writtenBy: 'Mara' });
  const { body: review } = await owner.get(server.club(`sets/${setId}`)).expect(200);
  const [rep] = (review as SetReviewReply).reps;
  if (!rep) throw new Error('The newest set has no reps.');
  const { id: replaces, ...body } = rep;
  const corrected = { ...body, replaces, struckOut: true, corrected: { by: 'Somebody', at: now } };
  await owner.put(server.club(`sets/${setId}/reps/${v7()}`), corrected).expect(200);
  const { body: after } = await owner.get(server.club(`sets/${setId}`));
  expect(JSON.stringify(after)).toContain('"by":"Mara"');
  expect(JSON.stringify(after)).not.toContain('Somebody');
});

describe('a passkey', () => {
  const from = (who: Somebody) => ({
    ask: () => who.post('/api/sign-in/passkey/new', {}).set('Origin', server.address),
    answer: (body: object) => who.post('/api/sign-in/passkey', body).set('Origin', server.address),
    add: (body: object) => who.post('/api/me/passkeys', body).set('Origin', server.address),
  });
  const rubbish = {
    ...{ credentialId: 'AAAA', clientDataJSON: 'AAAA' },
    ...{ authenticatorData: 'AAAA', signature: 'AAAA' },
  };
  const made = {
    ...{ name: 'Phone', credentialId: 'AAAA', clientDataJSON: 'AAAA', attestationObject: 'AAAA' },
  };

  test('that answers nothing, or not what was asked, lets nobody in', async () => {
    const nobody = from(new Somebody(server));
    expect((await nobody.answer(rubbish).expect(409)).text).toContain('challenge');
    await nobody.ask().expect(200);
    expect((await nobody.answer(rubbish).expect(401)).text).toContain('passkey');
    // What was asked can be answered once.
    await nobody.answer(rubbish).expect(409);
    for (const wrong of [{}, { ...rubbish, signature: '!' }, { ...rubbish, more: 1 }])
      await nobody.answer(wrong).expect(400);
    const { text } = await new Somebody(server).post('/api/sign-in/passkey/new', {}).expect(400);
    expect(text).toContain('Origin');
  });

  test('is made by somebody with an account, and is one', async () => {
    await from(new Somebody(server)).add(made).expect(401);
    const link = await invite({ role: 'athlete', athleteIds: [people[0]?.id ?? ''] });
    const phone = new Somebody(server);
    await phone.post('/api/invited/accept', { token: link.token, account: null }).expect(200);
    for (const path of ['/api/me/passkeys', '/api/me/passkeys/new']) {
      const asked = path.endsWith('new')
        ? phone.post(path, {}).set('Origin', server.address)
        : phone.get(path);
      expect((await asked.expect(400)).text).toContain('no account');
    }
    await owner.post('/api/me/passkeys/new', {}).set('Origin', server.address).expect(200);
    expect((await from(owner).add(made).expect(400)).text).toContain('passkey');
    expect((await owner.get('/api/me/passkeys').expect(200)).body).toEqual([]);
    await owner.delete(`/api/me/passkeys/${v7()}`).expect(404);
  });
});
