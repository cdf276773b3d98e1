import {
  CLUB_LISTS,
  type AthleteCourseReply,
  type ClubFileHead,
  type ClubList,
  type ImportBody,
  type ImportReply,
  type InList,
  type StandingReply,
} from '@orthokin/contract';
import { MikroORM } from '@mikro-orm/postgresql';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import request from 'supertest';
import { v7 } from 'uuid';
import { ImportJob } from '../src/domains/imports/import-job.entity.js';
import { withinClub } from '../src/platform/auth/scope.js';
import { ormOptions } from '../src/platform/database/orm-options.js';
import { TABLES } from '../src/tables.js';
import { onCluster, TestServer } from './support/server.js';
import { setOf } from './support/sets.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
}, 60_000);
afterAll(() => server.stop());

const takeOut = async (): Promise<Record<string, Uint8Array>> =>
  unzipSync(new Uint8Array(await server.clubFile()));
const textIn = (files: Record<string, Uint8Array>, name: string) =>
  strFromU8(files[name] ?? new Uint8Array());
type Lists = { readonly [List in ClubList]: InList<List>[] };
/** All of a file in one object, as files of version 1 had it. */
const clubIn = (files: Record<string, Uint8Array>): ClubFileHead & Lists => {
  const head = JSON.parse(textIn(files, 'club.json')) as ClubFileHead;
  const lists = Object.keys(CLUB_LISTS).map((list) => [
    list,
    textIn(files, `${list}.jsonl`)
      .split('\n')
      .filter((line) => line !== '')
      .map((line) => JSON.parse(line) as object),
  ]);
  return { ...head, ...(Object.fromEntries(lists) as Lists) };
};
const bring = (content: Uint8Array) =>
  request(server.address)
    .post('/api/clubs')
    .set('Content-Type', 'application/zip')
    .send(Buffer.from(content));
const packed = (club: object) => bring(zipSync({ 'club.json': strToU8(JSON.stringify(club)) }));
const wipe = (name: string) =>
  request(server.address).delete(`/api/clubs/${server.clubId}`).send({ name });
const standings = async () => (await server.get(server.club('standings'))).body as StandingReply[];

describe('a whole club', () => {
  test('taken out, wiped and brought back it is the same club', async () => {
    const line = await server.lineOf('Juno Marlock');
    const set = setOf(line, { reactionMs: 250, recoveryMs: 900 });
    await server.put(server.club(`sets/${set.id}`), set.body).expect(200);
    const [rep] = set.reps;
    await server.put(server.club(`sets/${set.id}/reps/${rep?.id ?? ''}`), rep?.body ?? {});
    const corrected = { by: 'Mara', at: '2026-03-01T10:00:00.000Z' };
    await server
      .put(server.club(`sets/${set.id}/reps/${v7()}`), {
        ...{ ...rep?.body, replaces: rep?.id, struckOut: true, corrected },
      })
      .expect(200);
    const note = { setId: set.id, text: 'Windy.', writtenBy: 'Mara', removed: true };
    await server
      .put(server.club(`notes/${v7()}`), { ...note, writtenAt: '2026-03-01T10:00:00.000Z' })
      .expect(200);

    const files = await takeOut();
    // A correction and what it corrects; the table has what counts, as it has by itself.
    const replaced = clubIn(files).reps.map(({ replaces }) => replaces);
    expect(clubIn(files).reps.map(({ id }) => id)).toContain(rep?.id);
    expect(replaced.filter((id) => id === rep?.id)).toHaveLength(1);
    const table = await server.get(server.club('reps.csv')).expect(200);
    expect(textIn(files, 'reps.csv')).toBe(table.text);
    const before = await standings();
    await wipe('Some Other Club').expect(409);
    expect(await standings()).toHaveLength(8);
    await wipe('Tiller Lane Squash').expect(200);
    expect((await server.get('/api/clubs')).body).toEqual([]);

    await bring(zipSync(files)).expect(200);
    const again = await takeOut();
    expect(clubIn(again)).toEqual(clubIn(files));
    expect(await standings()).toEqual(before);
    // The tables of both are the same, letter by letter.
    for (const name of ['reps.csv', 'sets.csv'])
      expect(textIn(again, name)).toBe(textIn(files, name));
  }, 60_000);

  test('a club that is here already is not overwritten', async () => {
    const refused = await bring(zipSync(await takeOut())).expect(409);
    expect(refused.body).toMatchObject({ problems: [{ field: 'club.clubId' }] });
  });

  test('a name that a spreadsheet would work out is a name in its tables', async () => {
    const patternId = (await server.squad())[0]?.patternId;
    const athlete = { hand: 'left', ageBand: 'adult', colourVision: 'full', patternId };
    const added = server.club(`athletes/${v7()}`);
    await server.put(added, { ...athlete, name: '=2+3, "Cole"' }).expect(200);
    expect(textIn(await takeOut(), 'athletes.csv')).toContain(`\n"'=2+3, ""Cole""",`);
  });

  test('a file of before lists had files of their own is still read', async () => {
    const { version: _, ...whole } = clubIn(await takeOut());
    const [line] = await server.squad();
    await wipe('Tiller Lane Squash').expect(200);
    await packed({ ...whole, version: 1 }).expect(200);
    expect((await server.squad()).map(({ athlete }) => athlete)).toContainEqual(line?.athlete);
    expect(clubIn(await takeOut())).toEqual({ ...whole, version: 2 });
  }, 60_000);

  test('a file that is wrong says where, and changes nothing', async () => {
    const whole = clubIn(await takeOut());
    // One set of it will do: checking thousands of reps again and again says nothing new.
    const [set] = whole.sets;
    const club = { ...whole, version: 1, sets: [set], reps: [], moves: [], notes: [] };
    const other = { ...club, club: { clubId: v7(), name: 'Elsewhere' } };
    const [athlete] = club.athletes;
    const wrong = async (change: object) =>
      ((await packed({ ...other, ...change }).expect(400)).body as { problems: object[] })
        .problems[0];
    expect(await wrong({ version: 9 })).toMatchObject({ field: 'version', given: '9' });
    expect(await wrong({ athletes: [{ ...athlete, hand: 'both' }] })).toMatchObject({
      field: 'athletes[0].hand',
      given: 'both',
      allowed: expect.stringContaining('left, right') as string,
    });
    expect(await wrong({ athletes: [] })).toMatchObject({
      field: 'sets[0].athleteId',
      allowed: 'an id that is in the file',
    });
    expect(await wrong({ sets: [{ ...set, patternVersion: 9 }] })).toMatchObject({
      ...{ field: 'sets[0].patternVersion', given: '9' },
    });
    const [first] = whole.reps;
    const [a, b] = [v7(), v7()];
    const round = [
      { ...first, setId: set?.id, id: a, replaces: b },
      { ...first, setId: set?.id, id: b, replaces: a },
    ];
    expect(await wrong({ reps: round })).toMatchObject({ field: 'reps.replaces' });
    expect((await bring(strToU8('not a zip')).expect(400)).body).toMatchObject({
      problems: [{ field: 'file' }],
    });
    const empty = await bring(zipSync({ 'else.txt': strToU8('') })).expect(400);
    expect(empty.body).toMatchObject({ problems: [{ field: 'file', given: 'no club.json' }] });
    expect((await server.get('/api/clubs')).body).toHaveLength(1);
  });

  test('what is wrong with the last of thousands leaves none of those before it', async () => {
    const { patterns, athletes, format, version } = clubIn(await takeOut());
    const club = { clubId: v7(), name: 'Elsewhere' };
    const linesOf = (rows: readonly object[]) =>
      strToU8(rows.map((row) => JSON.stringify(row)).join('\n'));
    const many = Array.from({ length: 2600 }, () => ({ ...athletes[0], id: v7() }));
    const last = { ...athletes[0], id: v7(), hand: 'both' };
    const file = zipSync({
      'club.json': strToU8(JSON.stringify({ format, version, club })),
      'patterns.jsonl': linesOf(patterns),
      'athletes.jsonl': linesOf([...many, last]),
    });
    const { body } = await bring(file).expect(400);
    expect(body).toMatchObject({ problems: [{ field: 'athletes[2600].hand' }] });
    expect(
      await server.read(`select 1 from athlete where club_id = '${club.clubId}' limit 1`),
    ).toEqual([]);
  });

  test('the tables have a row a rep and a set, and every column is explained', async () => {
    const club = clubIn(await takeOut());
    for (const [name, dictionary, rows] of [
      ['reps', 'reps-dictionary', club.reps.filter(({ replaces }) => !replaces).length],
      ['sets', 'sets-dictionary', club.sets.length],
    ] as const) {
      const { text } = await server.get(server.club(`${name}.csv`)).expect(200);
      const [heads = '', ...body] = text.trim().split('\n');
      expect(body).toHaveLength(rows);
      const explained = (await server.get(`/api/${dictionary}.csv`).expect(200)).text;
      for (const head of heads.trim().split(',')) expect(explained).toContain(`\n${head},`);
    }
  });
});

describe('a file made to burst the server', () => {
  const MB = 2 ** 20;
  /** A head that is good, so that the lists are read. */
  const head = () => {
    const club = { clubId: v7(), name: 'Burst' };
    return strToU8(JSON.stringify({ format: 'orthokin club', version: 2, club }));
  };
  const refusedFields = async (file: Uint8Array) => {
    const { body } = await bring(file).expect(400);
    return (body as { problems: { field: string }[] }).problems.map(({ field }) => field);
  };
  /** The size that the zip's directory says of its files, changed to a lie. */
  const lying = (file: Uint8Array, size: number): Uint8Array => {
    const copy = Buffer.from(file);
    for (let at = copy.indexOf('PK\x01\x02'); at >= 0; at = copy.indexOf('PK\x01\x02', at + 1))
      copy.writeUInt32LE(size, at + 24);
    return copy;
  };

  test.each<[string, () => Uint8Array, string]>([
    [
      'one line without an end',
      () => zipSync({ 'club.json': head(), 'sets.jsonl': new Uint8Array(40 * MB).fill(32) }),
      'sets.jsonl',
    ],
    [
      'much more JSON than a club is',
      () => zipSync({ 'club.json': new Uint8Array(60 * MB).fill(32) }),
      'club.json',
    ],
    [
      'many empty rows',
      () => zipSync({ 'club.json': head(), 'athletes.jsonl': strToU8('{}\n'.repeat(150_001)) }),
      'athletes[0].id',
    ],
    [
      'a file that says it is small',
      () => lying(zipSync({ 'club.json': new Uint8Array(30 * MB).fill(32) }), 10),
      'club.json',
    ],
    ['a folder of other things', () => zipSync({ 'a/b.txt': strToU8('x') }), 'file'],
    [
      'rows that are no JSON',
      () => zipSync({ 'club.json': head(), 'reps.jsonl': strToU8('{') }),
      'reps.jsonl, line 1',
    ],
  ])(
    '%s is refused, and what is in it is never all unpacked',
    async (_, make, field) => {
      expect(await refusedFields(make())).toContain(field);
      await server.get('/api/health').expect(200);
    },
    60_000,
  );
});

test('a club that is brought in twice at once comes in once', async () => {
  const files = await takeOut();
  const head = JSON.parse(textIn(files, 'club.json')) as ClubFileHead;
  const club = { ...head.club, clubId: v7() };
  const file = zipSync({ ...files, 'club.json': strToU8(JSON.stringify({ ...head, club })) });
  const replies = await Promise.all([bring(file), bring(file)]);
  const refused = replies.filter(({ status }) => status !== 200);
  expect(refused.map(({ status }) => status)).toEqual([409]);
  expect(refused[0]?.body).toMatchObject({ problems: [{ field: 'club.clubId' }] });
}, 60_000);

test('what an older version had yet to store of an import is there after an upgrade', async () => {
  const name = `imports_${process.pid}_${Date.now()}`;
  await onCluster(`create database ${name}`);
  const url = new URL(server.databaseUrl);
  url.pathname = name;
  const orm = await MikroORM.init({ ...ormOptions(url.href, TABLES), allowGlobalContext: true });
  try {
    await orm.migrator.up({ to: '20261226-documents-as-text' });
    const [clubId, waiting, stored] = [v7(), v7(), v7()];
    const run = (sql: string, values: unknown[]) => orm.em.getConnection().execute(sql, values);
    await run(`insert into club (club_id, name) values (?, 'Club')`, [clubId]);
    const body = [{ id: v7(), note: "it's \\ 5 µs" }];
    for (const [id, state] of [
      [waiting, 'waiting'],
      [stored, 'stored'],
    ])
      await run(
        `insert into import_job (club_id, id, body, sets, reps, state, problems) values (?, ?, ?, 1, 4, ?, '[]')`,
        [clubId, id, JSON.stringify(body), state],
      );
    await orm.migrator.up();
    const jobs = await withinClub(clubId, () => orm.em.find(ImportJob, { clubId }));
    expect(new Map(jobs.map((job) => [job.id, job.body]))).toEqual(
      new Map<string, unknown>([
        [waiting, body],
        [stored, []],
      ]),
    );
  } finally {
    await orm.close();
    await onCluster(`drop database ${name}`);
  }
}, 60_000);

describe('sets timed elsewhere', () => {
  async function importOf(sets: number, of = 'Wren Hallowby'): Promise<ImportBody> {
    const line = await server.lineOf(of);
    return {
      sets: Array.from({ length: sets }, () => {
        const set = setOf(line, { reactionMs: 240, recoveryMs: 880, reps: 4 });
        return {
          ...{ id: set.id, endedAt: new Date().toISOString() },
          body: { ...set.body, source: 'hand' as const },
          reps: set.reps.map(({ id, body }) => ({ id, body })),
        };
      }),
    };
  }
  const send = (body: ImportBody, id = v7()) => server.put(server.club(`imports/${id}`), body);
  /** An import when it is over. */
  const over = async (id: string): Promise<ImportReply> => {
    for (;;) {
      const { body } = await server.get(server.club(`imports/${id}`)).expect(200);
      const reply = body as ImportReply;
      if (reply.state === 'stored' || reply.state === 'refused') return reply;
      await new Promise((done) => setTimeout(done, 50));
    }
  };
  const count = async () => {
    const { athlete } = await server.lineOf('Wren Hallowby');
    const { body } = await server.get(server.club(`athletes/${athlete.id}/course`));
    return (body as AthleteCourseReply).sets.length;
  };

  test('come in together, once, however often they are sent', async () => {
    const before = await count();
    const body = await importOf(3);
    const id = v7();
    expect((await send(body, id).expect(200)).body).toMatchObject({ id, sets: 3, reps: 12 });
    await send(body, id).expect(200);
    expect(await over(id)).toMatchObject({ state: 'stored', done: 3, problems: [] });
    const again = v7();
    await send(body, again).expect(200);
    expect(await over(again)).toMatchObject({ state: 'stored', done: 3 });
    expect(await count()).toBe(before + 3);
  });

  test('many at once, in opposite orders, are all stored', async () => {
    const before = await count();
    const bodies = await Promise.all([importOf(6), importOf(6), importOf(6), importOf(6)]);
    const ids = await Promise.all(
      bodies.map(async ({ sets }, i) => {
        const id = v7();
        await send({ sets: i % 2 ? [...sets].reverse() : sets }, id).expect(200);
        return id;
      }),
    );
    for (const id of ids) expect(await over(id)).toMatchObject({ state: 'stored', done: 6 });
    expect(await count()).toBe(before + 24);
  }, 60_000);

  test('sent again under another id, what is there is held against it', async () => {
    const before = await count();
    const body = await importOf(1);
    const [first, other] = [v7(), v7()];
    await send(body, first).expect(200);
    expect(await over(first)).toMatchObject({ state: 'stored' });
    const [set] = body.sets;
    if (set) set.body.rung += 1;
    await send(body, other).expect(200);
    expect(await over(other)).toMatchObject({
      ...{ state: 'refused', problems: [{ field: 'sets[0].rung' }] },
    });
    expect(await count()).toBe(before + 1);
  });

  test('sets of some that come mixed are all stored; what is wrong is named by where it stood', async () => {
    const before = await count();
    const [one, other] = [await importOf(2), await importOf(2, 'Juno Marlock')];
    const sets = [0, 1].flatMap((i) => [one, other].flatMap((body) => body.sets.slice(i, i + 1)));
    const id = v7();
    await send({ sets }, id).expect(200);
    expect(await over(id)).toMatchObject({ state: 'stored', done: 4 });
    expect(await count()).toBe(before + 2);
    const changed = sets.map((set, i) =>
      i === 2 ? { ...set, body: { ...set.body, rung: set.body.rung + 1 } } : set,
    );
    const again = v7();
    await send({ sets: changed }, again).expect(200);
    expect(await over(again)).toMatchObject({
      ...{ state: 'refused', problems: [{ field: 'sets[2].rung' }] },
    });
  });

  test('of sets that came in part before the others come in, and a rep that another set has is named', async () => {
    const before = await count();
    const { sets } = await importOf(3);
    const id = v7();
    await send({ sets: sets.slice(1, 2) }, v7()).expect(200);
    await send({ sets }, id).expect(200);
    expect(await over(id)).toMatchObject({ state: 'stored', done: 3 });
    expect(await count()).toBe(before + 3);
    const [one, other] = (await importOf(2)).sets;
    const [taken, own] = [sets[0]?.reps[2], other?.reps[2]];
    if (!one || !other || !taken || !own) throw new Error('No reps.');
    own.id = taken.id;
    const refused = await send({ sets: [one, other] }).expect(409);
    expect(refused.body).toMatchObject({ problems: [{ field: 'sets[1].reps[2].id' }] });
    expect(await count()).toBe(before + 3);
  });

  test('nobody asked for is not there, and of no club there is none', async () => {
    const { body } = await server.get(server.club(`imports/${v7()}`)).expect(404);
    expect(body).toMatchObject({ problems: [{ field: 'importId' }] });
    const elsewhere = `/api/clubs/${v7()}/imports/${v7()}`;
    const refused = await server.put(elsewhere, await importOf(1)).expect(404);
    expect(refused.body).toMatchObject({ problems: [{ field: 'clubId' }] });
  });

  test.each<[string, (body: ImportBody) => void, string]>([
    [
      'two reps of one id',
      ({ sets: [set] }) => {
        const [first, second] = set?.reps ?? [];
        if (first && second) second.id = first.id;
      },
      'sets[0].reps[1].id',
    ],
    [
      'a correction of a rep that is not among them',
      ({ sets: [set] }) => {
        const [first] = set?.reps ?? [];
        if (first) first.body.replaces = v7();
      },
      'sets[0].reps[0].replaces',
    ],
    [
      'a later rep under an id that is not of its time',
      ({ sets: [set] }) => {
        const [, second] = set?.reps ?? [];
        if (second) second.id = '7d444840-9dc0-41d1-b245-5ffdce74fad2';
      },
      'sets[0].reps[1].id',
    ],
    [
      'a later rep out of its bounds',
      ({ sets: [set] }) => {
        const [, second] = set?.reps ?? [];
        if (second) second.body.ordinal = 0;
      },
      'sets[0].reps[1].body.ordinal',
    ],
    [
      'a rep under the id of one of another set',
      ({ sets: [set, other] }) => {
        const [[taken], [own]] = [set?.reps ?? [], other?.reps ?? []];
        if (taken && own) own.id = taken.id;
      },
      'sets[1].reps[0].id',
    ],
    [
      'two sets of one id',
      ({ sets: [set, other] }) => {
        if (set && other) other.id = set.id;
      },
      'sets[1].id',
    ],
    [
      'a set of nobody',
      ({ sets: [, set] }) => {
        if (set) set.body.athleteId = v7();
      },
      'sets[1].athleteId',
    ],
    [
      'a later set in an order that there is not',
      ({ sets: [, set] }) => {
        if (set) set.body.conditions = { ...set.body.conditions, order: 'backwards' as never };
      },
      'sets[1].body.conditions.order',
    ],
    [
      'a day a year ahead',
      ({ sets: [set] }) => {
        if (set) set.body.startedAt = new Date(Date.now() + 365 * 86_400_000).toISOString();
      },
      'sets[0].startedAt',
    ],
  ])('with %s is refused by its place, before anything is stored', async (_, change, field) => {
    const before = await count();
    const body = await importOf(2);
    change(body);
    const refused = await send(body);
    expect(refused.status).toBeGreaterThanOrEqual(400);
    expect(refused.status).toBeLessThan(500);
    expect(refused.body).toMatchObject({ problems: [{ field }] });
    expect(await count()).toBe(before);
  });

  test('with one bad rep none of them comes in', async () => {
    const before = await count();
    const body = await importOf(2);
    const last = body.sets[1]?.reps[3]?.body;
    if (last) last.target = 'Z';
    const refused = await send(body).expect(400);
    expect(refused.body).toMatchObject({
      problems: [{ field: 'sets[1].reps[3].target', given: 'Z' }],
    });
    expect(await count()).toBe(before);
  });
});
