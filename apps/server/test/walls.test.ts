import type { ClubReply, MeReply, PersonReply, SquadLineReply } from '@orthokin/contract';
import { isFor, ROUTES, type MayAsk } from '@orthokin/contract/routes';
import { ROLES, type Role } from '@orthokin/core/people';
import { Client } from 'pg';
import { v7 } from 'uuid';
import { TABLES } from '../src/tables.js';
import { goodBodies, type Json } from './support/good-bodies.js';
import { bodyClassOf, operationsOf, type Described } from './support/operations.js';
import { TestServer, urlsOf } from './support/server.js';
import { invited } from './support/invited.js';
import { OWNER, Somebody } from './support/somebody.js';

/**
 * Two clubs on one server: the demo's, whose rows are looked after, and a stranger's with a copy of
 * nothing. Whatever anybody sends, they see and change what is theirs and nothing else.
 */
let server: TestServer;
let described: readonly Described[];
let line: SquadLineReply;
let other: SquadLineReply;
let strangersClub: string;
const devices = new Map<Role, Somebody>();
let stranger: Somebody;
let nobody: Somebody;

beforeAll(async () => {
  server = await TestServer.start();
  described = await operationsOf(server);
  line = await server.lineOf('Juno Marlock');
  other = await server.lineOf('Amara Quill');
  strangersClub = v7();
  await server.put(`/api/clubs/${strangersClub}`, { name: 'Elsewhere' }).expect(200);
  stranger = new Somebody(server);
  await stranger
    .put(`/api/clubs/${strangersClub}/owner`, { ...OWNER, email: 'stranger@example.org' })
    .expect(200);
  const owner = new Somebody(server);
  await owner.put(server.club('owner'), OWNER).expect(200);
  devices.set('owner', owner);
  for (const role of ['coach', 'assistant', 'athlete'] as const)
    devices.set(
      role,
      await invited(server, owner, role, role === 'athlete' ? [line.athlete.id] : []),
    );
  const floor = new Somebody(server);
  await floor.post('/api/sign-in', { email: OWNER.email, password: OWNER.password }).expect(200);
  await floor.put(server.club('floor-device'), { name: 'Tablet' }).expect(200);
  devices.set('floor', floor);
  nobody = new Somebody(server);
}, 120_000);
afterAll(() => server.stop());

/** What nobody need be signed in for, or what would end the test's own devices. */
const APART =
  /^\/api\/(health|metrics|docs|sign-|try-role|invited|me$|me\/)|\/(devices|owner)(\/|$)/;
const ofClubs = () =>
  described.filter(({ path }) => path.includes('{clubId}') && !APART.test(path));

const mayAsk = ({ path, method }: Described): MayAsk | undefined => {
  const named = path.replace(/^\/api\//, '').replace(/\{(\w+)\}/g, ':$1');
  return Object.values(ROUTES).find(
    (route) => route.path === named && route.method === method.toUpperCase(),
  )?.may;
};

type Ids = Readonly<Record<string, string>>;
const idsOf = ({ athlete, patternId, lastSet }: SquadLineReply): Ids => ({
  ...{ athleteId: athlete.id, patternId, setId: lastSet?.id ?? v7(), version: '1' },
});
const filled = (path: string, clubId: string, ids: Ids = {}): string =>
  path.replace(/\{(\w+)\}/g, (_, name: string) =>
    name === 'clubId' ? clubId : (ids[name] ?? (name === 'version' ? '1' : v7())),
  );

const ask = async (
  as: Somebody,
  { method, operation }: Described,
  at: string,
  body: Readonly<Record<string, Json>> = goodBodies(line)[bodyClassOf(operation) ?? ''] ?? {},
) => {
  // A question about a day is good only with one.
  const path = at.endsWith('/loads') ? `${at}?day=2026-03-05` : at;
  if (method === 'get') return as.get(path);
  if (method === 'delete') return as.delete(path);
  return method === 'post' ? as.post(path, body) : as.put(path, body);
};

/** Everything of a club, in every table there is. */
async function rowsOf(clubId: string): Promise<Record<string, string>> {
  const tables = await server.read<{ name: string }>(
    `select table_name as name from information_schema.columns
     where table_schema = 'public' and column_name = 'club_id' order by 1`,
  );
  const found: Record<string, string> = {};
  for (const { name } of tables) {
    const [row] = await server.read<{ all: string }>(
      `select md5(coalesce(string_agg(t::text, '' order by t::text), '')) as all
       from "${name}" t where club_id = '${clubId}'`,
    );
    found[name] = row?.all ?? '';
  }
  return found;
}

test('every request that is served is in the table of routes, and so says whose it is', () => {
  const without = described
    .filter((each) => mayAsk(each) === undefined)
    .map(({ method, path }) => `${method} ${path}`);
  expect(without).toEqual(['get /api/health', 'get /api/metrics']);
});

test('every table of clubs has its wall, and no connection of the server’s can take it down', async () => {
  const bare = await server.read(
    `select c.relname from pg_class c join pg_namespace n on n.oid = c.relnamespace
     where n.nspname = 'public' and c.relkind in ('r', 'p')
       and (not c.relrowsecurity or not exists (select from pg_policy p where p.polrelid = c.oid))
       and c.relname not in ('migration', 'web_session')`,
  );
  expect(bare).toEqual([]);
  const owned = await server.read(
    `select c.relname from pg_class c join pg_roles r on r.oid = c.relowner
     join pg_namespace n on n.oid = c.relnamespace
     where r.rolname = 'orthokin_serving' and n.nspname = 'public'`,
  );
  expect(owned).toEqual([]);
  // The parts of a table have no wall of their own: whoever serves comes by none of them.
  const parts = await server.read<{ open: boolean }>(
    `select has_schema_privilege('orthokin_serving', 'partitions', 'usage')
       or has_table_privilege('orthokin_serving', oid, 'select') as open
     from pg_class where relnamespace = 'partitions'::regnamespace and relkind = 'r'`,
  );
  expect(parts.length).toBe(32);
  expect(parts.filter(({ open }) => open)).toEqual([]);
  expect((TABLES.entities ?? []).length).toBeGreaterThan(20);
});

test('the database shows the role that serves one club at a time, or of it one athlete', async () => {
  const client = new Client({ connectionString: urlsOf(server.databaseUrl).servingUrl });
  await client.connect();
  const shown = async (club: string, athletes: string) => {
    await client.query(
      `select set_config('app.club', $1, false), set_config('app.athletes', $2, false)`,
      [club, athletes],
    );
    const counts = await Promise.all(
      ['athlete', 'drill_set', 'rep', 'plan'].map(async (table) => {
        const { rows } = await client.query<{ n: string }>(`select count(*) as n from ${table}`);
        return Number(rows[0]?.n);
      }),
    );
    return counts.map((count) => count > 0);
  };
  try {
    expect(await shown('', '')).toEqual([false, false, false, false]);
    expect(await shown(strangersClub, '')).toEqual([false, false, false, false]);
    expect((await shown(server.clubId, '')).slice(0, 3)).toEqual([true, true, true]);
    expect(await shown(server.clubId, line.athlete.id)).toEqual([true, true, true, false]);
    expect(await shown(server.clubId, v7())).toEqual([false, false, false, false]);
    await expect(client.query('alter table athlete disable row level security')).rejects.toThrow();
    await expect(client.query('set row_security = off; select from athlete')).rejects.toThrow();
  } finally {
    await client.end();
  }
});

test('nobody is let in anywhere', async () => {
  for (const each of ofClubs()) {
    const { status } = await ask(nobody, each, filled(each.path, server.clubId, idsOf(line)));
    const where = `${each.method} ${each.path}`;
    expect({ where, status }).toEqual({ where, status: 401 });
  }
});

test.each(ROLES)(
  'to %s every request is as the table says',
  async (role) => {
    const as = devices.get(role) ?? nobody;
    for (const each of ofClubs()) {
      const may = mayAsk(each) ?? 'anyone';
      if (may === 'this machine') continue;
      // What it is about is not there: nothing is changed by asking.
      const { status } = await ask(as, each, filled(each.path, server.clubId));
      const isLetIn = status !== 401 && status !== 403;
      const where = `${each.method} ${each.path}`;
      expect({ where, isLetIn }).toEqual({ where, isLetIn: isFor({ may }, role) });
    }
  },
  60_000,
);

test('a stranger’s request changes nothing here, and is told of nothing', async () => {
  const before = await rowsOf(server.clubId);
  const secrets = [line.athlete.id, line.athlete.name, other.athlete.id, other.athlete.name];
  const ids = idsOf(line);
  for (const each of ofClubs()) {
    const where = `${each.method} ${each.path}`;
    // By the right address of another's club: the same as one that is not there.
    const theirs = await ask(stranger, each, filled(each.path, server.clubId, ids));
    const none = await ask(stranger, each, filled(each.path, v7(), ids));
    expect({ where, status: theirs.status, said: theirs.text }).toEqual({
      ...{ where, status: none.status, said: none.text },
    });
    // In one's own club, with ids of the other's in path and body.
    const mixed = await ask(stranger, each, filled(each.path, strangersClub, ids));
    const isGiven = mixed.status < 300 && each.method === 'get';
    const told = secrets.filter((secret) => isGiven && mixed.text.includes(secret));
    expect({ where, told }).toEqual({ where, told: [] });
  }
  expect(await rowsOf(server.clubId)).toEqual(before);
}, 120_000);

test('a club is another’s however its id is written', async () => {
  const [first = ''] = server.clubId;
  const code = first.charCodeAt(0).toString(16);
  for (const written of [`%${code}${server.clubId.slice(1)}`, server.clubId.toUpperCase()])
    for (const path of ['devices', 'squad', 'accounts', 'plans'])
      await stranger.get(`/api/clubs/${written}/${path}`).expect(404);
});

test('an athlete sees and changes what is theirs, and others’ is as if it were not there', async () => {
  const as = devices.get('athlete') ?? nobody;
  // What is worked out when it is first asked for is no change of theirs.
  await (devices.get('owner') ?? nobody).get(server.club('squad'));
  const before = await server.read<{ all: string }>(
    `select md5(string_agg(t::text, '' order by t::text)) as all from drill_set t
     where athlete_id <> '${line.athlete.id}'`,
  );
  const theirs = goodBodies(other);
  for (const each of ofClubs()) {
    if (!isFor({ may: mayAsk(each) ?? 'anyone' }, 'athlete')) continue;
    const where = `${each.method} ${each.path}`;
    const ids = { ...idsOf(other), patternId: line.patternId };
    const body = theirs[bodyClassOf(each.operation) ?? ''];
    const { status, text } = await ask(as, each, filled(each.path, server.clubId, ids), body);
    const told =
      status < 300 && (text.includes(other.athlete.id) || text.includes(other.athlete.name));
    expect({ where, told }).toEqual({ where, told: false });
    if (each.path.includes('{athleteId}') || each.path.includes('{setId}')) {
      const unknown = filled(each.path, server.clubId, { patternId: line.patternId });
      const none = await ask(as, each, unknown, body);
      expect({ where, status }).toEqual({ where, status: none.status });
    }
  }
  const after = await server.read<{ all: string }>(
    `select md5(string_agg(t::text, '' order by t::text)) as all from drill_set t
     where athlete_id <> '${line.athlete.id}'`,
  );
  expect(after).toEqual(before);
  const { body: people } = await as.get(server.club('athletes')).expect(200);
  expect((people as PersonReply[]).map(({ id }) => id)).toEqual([line.athlete.id]);
  // Claims of one are held against those of all: an athlete is told what the coach is.
  const { body: own } = await as.get(server.club('squad')).expect(200);
  const { body: all } = await (devices.get('coach') ?? nobody).get(server.club('squad'));
  expect(own).toEqual(
    (all as SquadLineReply[]).filter(({ athlete }) => athlete.id === line.athlete.id),
  );
  await as.get(server.club(`athletes/${line.athlete.id}/course`)).expect(200);
}, 60_000);

test('what is asked for at once, by two clubs and by nobody, is never mixed up', async () => {
  const coach = devices.get('coach') ?? nobody;
  const athlete = devices.get('athlete') ?? nobody;
  const asked = Array.from({ length: 40 }, async () => {
    const [whole, own, strange, none] = await Promise.all([
      coach.get(server.club('athletes')),
      athlete.get(server.club('athletes')),
      stranger.get(`/api/clubs/${strangersClub}/athletes`),
      nobody.get('/api/clubs'),
    ]);
    const counted = [whole, own, strange].map(({ body }) => (body as PersonReply[]).length);
    return [...counted, (none.body as ClubReply[]).length].join(' ');
  });
  const { body: everyone } = await coach.get(server.club('athletes'));
  const { length } = everyone as PersonReply[];
  expect([...new Set(await Promise.all(asked))]).toEqual([`${length} 1 0 0`]);
});

test('whoever is signed in is told who they are, and of no other club', async () => {
  for (const [role, device] of devices) {
    const { body } = await device.get('/api/me').expect(200);
    expect(body as MeReply).toMatchObject({
      ...{ signedIn: { role, clubId: server.clubId }, open: [], canTryRoles: false },
    });
    const { body: clubs } = await device.get('/api/clubs').expect(200);
    expect((clubs as ClubReply[]).map(({ clubId }) => clubId)).toEqual([server.clubId]);
  }
});
