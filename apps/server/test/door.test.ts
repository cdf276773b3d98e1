import { writeFileSync } from 'node:fs';
import { get } from 'node:http';
import type { SquadLineReply } from '@orthokin/contract';
import { v7 } from 'uuid';
import { goodBodies, type Json } from './support/good-bodies.js';
import { bodyClassOf, operationsOf, type Described } from './support/operations.js';
import { TestServer } from './support/server.js';
import { setOf } from './support/sets.js';

let server: TestServer;
let described: readonly Described[];
let line: SquadLineReply;
beforeAll(async () => {
  server = await TestServer.start();
  described = await operationsOf(server);
  cast = (await server.squad()).map(({ athlete }) => athlete.id);
  line = await server.lineOf('Juno Marlock');
}, 60_000);
afterAll(async () => {
  // How long answers took says nothing on a machine with others on it: it is told, not asserted here.
  const { SIEGE_REPORT: report } = process.env;
  if (report) {
    const { text: metrics } = await server.get('/api/metrics');
    writeFileSync(report, JSON.stringify({ taken, metrics }));
  }
  await server.stop();
});

/** What requests took, and what they asked. */
const taken: { of: string; ms: number; bytes: number }[] = [];

/** Who was there at first and is not any more. */
let cast: readonly string[] = [];
const missing = async (): Promise<string[]> => {
  const now = new Set((await server.squad()).map(({ athlete }) => athlete.id));
  return cast.filter((id) => !now.has(id));
};

const DEEP = JSON.parse(`${'['.repeat(500)}${']'.repeat(500)}`) as Json;
/** `npm run siege` tries everything at every field; a plain run every other, each of them somewhere. */
const EVERY = process.env['SIEGE'] ? 1 : 2;
/** What nobody means, for any field. */
const ABSURD: readonly (readonly [string, Json | undefined])[] = [
  ['absent', undefined],
  ['null', null],
  ['a number', 1e308],
  ['below everything', -1e308],
  ['a text', 'words'],
  ['an empty text', ''],
  ['NUL', 'a\0b'],
  ['half a pair', 'a\ud800b'],
  ['a long text', 'x'.repeat(30_000)],
  ['a list', []],
  ['a long list', Array.from({ length: 3000 }, () => ({}))],
  ['a list of nothing', [null]],
  ['an object', {}],
  ['deep', DEEP],
  ['true', true],
  ['a date there is not', '9999-99-99'],
  ['a week', '2026-W05-6T10:00:00Z'],
  ['a far day', '2099-01-01T00:00:00Z'],
];

/** Every field of a value, deep inside too: the first of each list stands for all. */
function* places(
  value: Json,
  path: readonly (string | number)[] = [],
): Iterable<readonly (string | number)[]> {
  if (Array.isArray(value)) {
    if (value[0] !== undefined) {
      yield [...path, 0];
      yield* places(value[0], [...path, 0]);
    }
  } else if (typeof value === 'object' && value !== null)
    for (const [name, own] of Object.entries(value)) {
      yield [...path, name];
      yield* places(own, [...path, name]);
    }
}

function changed(value: Json, path: readonly (string | number)[], to: Json | undefined): Json {
  const [first, ...rest] = path;
  if (first === undefined) return to ?? null;
  if (Array.isArray(value))
    return value.map((own, i) => (i === first ? changed(own, rest, to) : own));
  const { [String(first)]: own = null, ...others } = value as Record<string, Json>;
  if (rest.length === 0 && to === undefined) return others;
  return { ...others, [String(first)]: changed(own, rest, to) };
}

const IDS: Readonly<Record<string, () => string>> = {
  clubId: () => server.clubId,
  athleteId: () => line.athlete.id,
  patternId: () => line.patternId,
  version: () => '1',
};
const filled = (path: string, id: (name: string) => string) =>
  path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(id(name)));
const ownIds = (name: string) => IDS[name]?.() ?? v7();

const send = async (method: string, path: string, body?: string, type = 'application/json') => {
  const began = performance.now();
  const response = await fetch(`${server.address}${path}`, {
    method: method.toUpperCase(),
    ...(body !== undefined && { body, headers: { 'Content-Type': type } }),
  });
  const text = await response.text();
  taken.push({ of: `${method} ${path}`, ms: performance.now() - began, bytes: text.length });
  return { status: response.status, text };
};

/** A refusal says which field; nothing fails inside. */
function expectSaid(where: string, { status, text }: { status: number; text: string }): void {
  if (status < 400) return;
  const { problems = [] } = JSON.parse(text) as { problems?: { field: string }[] };
  const isNamed = problems.length > 0 && problems.every(({ field }) => field !== '');
  const isBounded = text.length < 50_000;
  expect({ where, status: status < 500, isNamed, isBounded }).toEqual({
    ...{ where, status: true, isNamed: true, isBounded: true },
  });
}

/** Who lets whom in is tried elsewhere: what changes the caller would end this. */
const LETS_IN =
  /^\/api\/(me|sign-in|sign-out|try-role|invited)|\/(owner|accounts|invitations|devices|floor-device)(\/|$)/;
const operations = () => described.filter(({ path }) => !LETS_IN.test(path));

describe('no request does harm', () => {
  test('every class that is taken has a good body here, so that no route is forgotten', () => {
    const taken = new Set(operations().flatMap(({ operation }) => bodyClassOf(operation) ?? []));
    expect([...taken].sort()).toEqual(
      [...new Set([...Object.keys(goodBodies(line)), 'PatternBody'])].sort(),
    );
  });

  test('addresses that cannot be', async () => {
    let tried = 0;
    for (const { path, method, operation, inPath } of operations())
      for (const name of inPath)
        for (const odd of ['x', '%00', '../..', '0', v7(), '\u0000', 'a'.repeat(5000)]) {
          const at = filled(path, (each) => (each === name ? odd : ownIds(each)));
          const body = bodyClassOf(operation);
          const given = body ? JSON.stringify(goodBodies(line)[body] ?? {}) : undefined;
          expectSaid(
            `${method} ${path} ${name} ${odd.slice(0, 20)}`,
            await send(method, at, given),
          );
          tried += 1;
        }
    expect(tried).toBeGreaterThan(500);
  }, 120_000);

  test('questions that cannot be', async () => {
    const { patternId } = line;
    const good: Readonly<Record<string, string>> = {
      ...{ patternId, patternVersion: '1', source: 'simulated', sense: 'seen', day: '2026-11-24' },
    };
    const asking = operations().filter(({ inQuery }) => inQuery.length > 0);
    expect(asking.length).toBeGreaterThanOrEqual(3);
    for (const { path, method, inQuery } of asking) {
      const at = filled(path, ownIds);
      const query = new URLSearchParams(
        Object.fromEntries(inQuery.map((name) => [name, good[name] ?? ''])),
      );
      const { status } = await send(method, `${at}?${query.toString()}`);
      // Whatever can be asked has a good question here, so that none is forgotten.
      expect({ path, status }).toEqual({ path, status: 200 });
      for (const name of inQuery)
        for (const odd of ['', 'x', '\u0000', '-1', '1e400', '9999-99-99', 'a'.repeat(5000)]) {
          const changed = new URLSearchParams(query);
          changed.set(name, odd);
          const once = `${at}?${changed.toString()}`;
          const twice = `${once}&${name}=x&${name}[a]=x`;
          for (const each of [once, twice])
            expectSaid(`${path} ${name} ${odd.slice(0, 20)}`, await send(method, each));
        }
    }
  }, 60_000);

  test('bodies with one thing wrong, at every field of every class', async () => {
    const { body: pattern } = await server.get(server.club(`patterns/${line.patternId}`));
    const { id: _, version: __, ...patternBody } = pattern as Record<string, Json>;
    const good: Record<string, Json> = { ...goodBodies(line), PatternBody: patternBody };
    let fields = 0;
    for (const { path, method, operation } of operations()) {
      const name = bodyClassOf(operation);
      const body = name ? good[name] : undefined;
      if (body === undefined || method === 'delete') continue;
      const seen = new Set<string>();
      for (const place of places(body)) {
        // What stands in one target, leg or rung stands in all of them alike.
        const kind = place
          .filter((part) => typeof part === 'string')
          .slice(-2)
          .join('.');
        if (seen.has(kind)) continue;
        seen.add(kind);
        fields += 1;
        for (const [i, [what, value]] of ABSURD.entries()) {
          if ((fields + i) % EVERY !== 0) continue;
          const given = JSON.stringify(changed(body, place, value));
          const at = filled(path, ownIds);
          expectSaid(`${method} ${path} ${place.join('.')} ${what}`, await send(method, at, given));
        }
      }
    }
    expect(fields).toBeGreaterThan(300);
  }, 600_000);

  test.each([
    ['half of it', '{"a":'],
    ['nothing', ''],
    ['a list', '[]'],
    ['a number without end', '{"rung":1e400}'],
    ['not JSON', 'words'],
    ['very deep', `${'{"a":'.repeat(10_000)}1${'}'.repeat(10_000)}`],
    [
      'many unknown keys',
      JSON.stringify(Object.fromEntries(Array.from({ length: 100_000 }, (_, i) => [`k${i}`, 1]))),
    ],
    ['many empty elements', JSON.stringify({ events: Array.from({ length: 50_000 }, () => ({})) })],
  ])(
    'a body that is %s',
    async (what, body) => {
      for (const path of [
        `sets/${v7()}`,
        `sets/${v7()}/end`,
        `sets/${v7()}/reps/${v7()}`,
        `imports/${v7()}`,
      ]) {
        const answer = await send('put', server.club(path), body);
        expect(answer.status).toBeGreaterThanOrEqual(400);
        expectSaid(`${path} ${what}`, answer);
      }
      expectSaid('type', await send('put', server.club(`sets/${v7()}`), body, 'text/plain'));
    },
    60_000,
  );

  test('and after all of it every page and every file can still be read', async () => {
    // To put somebody away is no harm: some of what was tried means just that.
    await server.put(server.club(`athletes/${line.athlete.id}/archived`), { archived: false });
    for (const { path, method } of operations()) {
      if (
        method !== 'get' ||
        /\{(setId|moveId|importId|planId|sessionId|version)\}|\/(reps|loads)$/.test(path)
      )
        continue;
      const { status } = await send(method, filled(path, ownIds));
      expect({ path, status }).toEqual({ path, status: 200 });
    }
    expect(await missing()).toEqual([]);
  }, 60_000);
});

describe('only by its own name, and for its own pages', () => {
  const asked = (headers: Record<string, string>) =>
    new Promise<number>((done, fail) => {
      const { port } = new URL(server.address);
      get({ host: '127.0.0.1', port, path: '/api/clubs', headers }, (response) => {
        response.resume();
        done(response.statusCode ?? 0);
      }).on('error', fail);
    });

  test.each<[Record<string, string>, number]>([
    [{ Host: 'evil.example' }, 421],
    [{ Host: 'localhost:4310' }, 200],
    [{ Host: '[::1]:4310' }, 200],
    [{ Origin: 'http://evil.example' }, 403],
    [{ Origin: 'null' }, 403],
    [{ Origin: 'http://localhost:4310' }, 403],
    [{ Host: 'localhost:4310', Origin: 'http://localhost:4310' }, 200],
  ])('%j is answered with %d', async (headers, status) => {
    expect(await asked(headers)).toBe(status);
  });
});

describe('what is said', () => {
  test('replies carry an id of the request, and are kept by nobody', async () => {
    const { headers } = await server.get('/api/clubs').set('X-Request-Id', 'from-a-proxy-7');
    expect(headers['x-request-id']).toBe('from-a-proxy-7');
    expect(headers['cache-control']).toBe('no-store');
    const { headers: own } = await server.get('/api/clubs').set('X-Request-Id', '<script>');
    expect(own['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
  });

  test('metrics tell of routes, not of people', async () => {
    const { text } = await server.get('/api/metrics').expect(200);
    expect(text).toMatch(/http_request_seconds_count\{method="GET",route="\/api\/clubs"/);
    expect(text).not.toContain(server.clubId);
  });
});

describe('one broken row costs that row', () => {
  const poisoned: readonly (readonly [what: string, sql: string])[] = [
    ['conditions', `conditions = '[]'`],
    ['cues', `cues = '{"a":1}'`],
    ['limits', `limits_ms = '[1]'`],
    ['pace', `conditions = jsonb_set(conditions, '{pace}', '[]')`],
    ['watched', `conditions = jsonb_set(conditions, '{watched}', '7')`],
  ];

  test.each(poisoned)(
    '%s of a set',
    async (_, change) => {
      const own = await server.lineOf('Wren Hallowby');
      const set = setOf(own, { reactionMs: 250, recoveryMs: 900 });
      await server.put(server.club(`sets/${set.id}`), set.body).expect(200);
      for (const rep of set.reps)
        await server.put(server.club(`sets/${set.id}/reps/${rep.id}`), rep.body).expect(200);
      await server.run(`update drill_set set ${change} where id = '${set.id}'`);
      await server.run(
        'delete from set_figures; delete from squad_line; delete from athlete_standing',
      );
      await server.run('delete from ladder_standing');
      expect(await missing()).toEqual([]);
      for (const path of [
        'standings',
        `athletes/${own.athlete.id}/course`,
        `athletes/${own.athlete.id}/drill-setup`,
        `patterns/${own.patternId}/ladder`,
        `patterns/${own.patternId}/ladder/${own.athlete.id}`,
        'patterns',
        'sets.csv',
        'reps.csv',
        'club.zip',
      ])
        await server.get(server.club(path)).expect(200);
      expect((await server.get(server.club(`sets/${set.id}`))).status).toBeLessThan(500);
      await fetch(`${server.address}${server.club(`sets/${set.id}`)}`, { method: 'DELETE' });
      await server.get(server.club(`sets/${set.id}`)).expect(404);
    },
    60_000,
  );

  test('a version that cannot be read is listed, and can be taken out', async () => {
    const id = v7();
    const { body } = await server.get(server.club(`patterns/${line.patternId}`));
    const { id: _, version: __, ...pattern } = body as Record<string, Json>;
    await server.put(server.club(`patterns/${id}/versions/1`), pattern).expect(200);
    await server.run(
      `update pattern_version set body = '{"home":[]}', saved_at = now() where pattern_id = '${id}'`,
    );
    for (const path of ['squad', 'standings', 'patterns', 'sets.csv', 'club.zip'])
      await server.get(server.club(path)).expect(200);
    const listed = await server.get(server.club('unreadable')).expect(200);
    expect(listed.body).toEqual([
      expect.objectContaining({ kind: 'pattern version', id, version: 1, sets: 0 }),
    ]);
    await fetch(`${server.address}${server.club(`patterns/${id}/versions/1`)}`, {
      method: 'DELETE',
    });
    expect((await server.get(server.club('unreadable'))).body).toEqual([]);
  }, 60_000);

  test('an athlete is taken out with every set of theirs', async () => {
    const { athlete } = await server.lineOf('Cass Ondry');
    const path = server.club(`athletes/${athlete.id}`);
    expect((await fetch(`${server.address}${path}`, { method: 'DELETE' })).status).toBe(200);
    expect((await server.squad()).map((each) => each.athlete.name)).not.toContain('Cass Ondry');
    await server.get(`${path}/course`).expect(404);
  });
});

test('conditions are refused where an object is asked for', async () => {
  const set = setOf(line, { reactionMs: 250, recoveryMs: 900 });
  const { body } = await server
    .put(server.club(`sets/${set.id}`), { ...set.body, conditions: [] })
    .expect(400);
  expect(body).toMatchObject({ problems: [{ field: 'conditions', allowed: 'an object' }] });
});
