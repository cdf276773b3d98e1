import type { DrillSetupReply } from '@orthokin/contract';
import { DatabaseRefusal } from '../src/platform/database/database-refusal.js';
import { readSettings } from '../src/platform/settings.js';
import { prepare } from '../src/prepare.js';
import { TestServer, urlsOf } from './support/server.js';
import { setOf } from './support/sets.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
}, 60_000);
afterAll(() => server.stop());

describe('the demo club', () => {
  test('has eight athletes of both hands on their patterns, each with weeks of sets', async () => {
    const squad = await server.squad();
    expect(squad).toHaveLength(8);
    expect(new Set(squad.map(({ athlete }) => athlete.hand))).toEqual(new Set(['left', 'right']));
    expect(new Set(squad.map(({ patternName }) => patternName)).size).toBe(4);
    expect(squad.every(({ lastSet }) => lastSet)).toBe(true);
    for (const { athlete } of squad) {
      const setup = await server.get(server.club(`athletes/${athlete.id}/drill-setup`)).expect(200);
      expect((setup.body as DrillSetupReply).sessionsBefore).toBeGreaterThan(8);
    }
  });

  test('has somebody one passed set from moving up, and somebody held back by false starts', async () => {
    const decisions = (await server.squad()).map(({ lastSet }) => lastSet?.decision);
    expect(decisions).toContainEqual(
      expect.objectContaining({
        ...{ answer: 'not enough reps yet', limiting: null },
        state: expect.objectContaining({ setsPassed: 1 }) as unknown,
      }),
    );
    expect(decisions).toContainEqual(
      expect.objectContaining({
        limiting: expect.objectContaining({ gate: 'false starts' }) as unknown,
      }),
    );
  });

  test('is loaded once; a reset takes away what was added and nothing else', async () => {
    const settings = { ...urlsOf(server.databaseUrl), host: '127.0.0.1', port: 0 };
    const line = await server.lineOf('Cass Ondry');
    const set = setOf(line, { reactionMs: 200, recoveryMs: 700 });
    await server.put(server.club(`sets/${set.id}`), set.body).expect(200);
    await prepare({ ...settings, demo: 'once' });
    await server.get(server.club(`sets/${set.id}`)).expect(200);
    await prepare({ ...settings, demo: 'reset' });
    await server.get(server.club(`sets/${set.id}`)).expect(404);
    expect((await server.lineOf('Cass Ondry')).rung).toBe(line.rung);
  });
});

describe('the server', () => {
  test('says it is well, and describes every request with its rules', async () => {
    const health = await server.get('/api/health').expect(200);
    expect(health.body).toMatchObject({ status: 'ok', info: { database: { status: 'up' } } });
    await server.get('/api/docs').expect(200);
    const { body } = await server.get('/api/docs-json').expect(200);
    expect(body).toMatchObject({
      paths: { '/api/clubs/{clubId}/sets/{setId}/reps/{repId}': { put: {} } },
      components: {
        schemas: { RepBody: { required: expect.arrayContaining(['events']) as unknown } },
      },
    });
  });

  test('names an unknown address and hides its inside', async () => {
    const { body } = await server.get('/api/nothing').expect(404);
    expect(body).toMatchObject({ statusCode: 404, problems: [{ field: 'address' }] });
  });

  test('sends the headers of a page that trusts nobody', async () => {
    const { headers } = await server.get('/api/health');
    expect(headers['content-security-policy']).toContain("default-src 'self'");
    expect(headers['x-powered-by']).toBeUndefined();
  });

  test('a page connects to the gateways that a coach named, and to nothing else on the network', async () => {
    const connects = async () => {
      const { headers } = await server.get('/floor').set('Accept', 'text/html');
      return /connect-src ([^;]*)/.exec(headers['content-security-policy'] ?? '')?.[1]?.split(' ');
    };
    const own = ["'self'", 'ws://127.0.0.1:*', 'ws://localhost:*'];
    expect((await connects())?.filter(Boolean)).toEqual(own);
    const path = server.club('gateways');
    const addresses = ['ws://192.168.1.20:4320', 'wss://gate.local'];
    expect((await server.put(path, { addresses }).expect(200)).body).toEqual({
      ...{ addresses, always: [] },
    });
    expect(await connects()).toEqual([...own, ...addresses]);
    // What would end the rule, or reach further, is refused by name.
    for (const bad of ['ws://a; script-src *', 'ws://a/path', 'https://a', '*', 'ws://a b'])
      expect((await server.put(path, { addresses: [bad] }).expect(400)).body).toMatchObject({
        problems: [{ field: 'addresses' }],
      });
    expect((await server.get(path).expect(200)).body).toMatchObject({ addresses });
    await server.put(path, { addresses: [] }).expect(200);
    expect((await connects())?.filter(Boolean)).toEqual(own);
  });
});

describe('settings and database', () => {
  test.each([
    [{ DATABASE_URL: 'mysql://x' }, 'DATABASE_URL'],
    [{ DATABASE_URL: 'postgresql://x/y', PORT: 'high' }, 'PORT'],
    [{ DATABASE_URL: 'postgresql://x/y', DEMO: 'maybe' }, 'DEMO'],
  ])('%o names the variable', (env, name) => {
    expect(() => readSettings(env)).toThrow(name);
  });

  test('a database that does not answer is refused with what to do', async () => {
    const settings = {
      ...urlsOf('postgresql://a:b@127.0.0.1:1/nowhere'),
      host: '127.0.0.1',
      port: 0,
      demo: 'none' as const,
    };
    await expect(prepare(settings)).rejects.toThrow(DatabaseRefusal);
    await expect(prepare(settings)).rejects.toThrow(/127\.0\.0\.1:1 does not answer.*Start it/);
  });
});
