import type {
  AthleteCourseReply,
  LadderReply,
  SquadLineReply,
  StandingReply,
} from '@orthokin/contract';
import { v7 } from 'uuid';
import { createApp } from '../src/app.js';
import { onCluster, TestServer, urlsOf } from './support/server.js';
import { setOf, type RecordedSet } from './support/sets.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
}, 60_000);
afterAll(() => server.stop());

const courseOf = async (athleteId: string): Promise<AthleteCourseReply> =>
  (await server.get(server.club(`athletes/${athleteId}/course`)).expect(200))
    .body as AthleteCourseReply;

/** Stores a set with all its reps at once, as an outbox does that comes back from a dead network. */
async function pour(set: RecordedSet): Promise<void> {
  await server.put(server.club(`sets/${set.id}`), set.body).expect(200);
  await Promise.all(
    set.reps.map(({ id, body }) =>
      server.put(server.club(`sets/${set.id}/reps/${id}`), body).expect(200),
    ),
  );
}

/** Asks for every page over and over until told to stop; whatever was kept is kept by these. */
function lookOn(line: SquadLineReply): { stop: () => Promise<number> } {
  let on = true;
  const pages = [
    'squad',
    'standings',
    `athletes/${line.athlete.id}/course`,
    `patterns/${line.patternId}/ladder`,
  ];
  const looking = pages.map(async (page) => {
    let looks = 0;
    for (; on; looks++) await server.get(server.club(page)).expect(200);
    return looks;
  });
  return {
    stop: async () => {
      on = false;
      return (await Promise.all(looking)).reduce((a, b) => a + b, 0);
    },
  };
}

test('what is kept is never older than its reps, whoever looks while they come', async () => {
  const line = await server.lineOf('Juno Marlock');
  const looking = lookOn(line);
  const sets = Array.from({ length: 4 }, (_, n) =>
    setOf(line, {
      ...{ reactionMs: 240 + n, recoveryMs: 800 },
      at: new Date(Date.now() + n * 60_000),
    }),
  );
  for (const set of sets) await pour(set);
  expect(await looking.stop()).toBeGreaterThan(4);
  const { sets: course } = await courseOf(line.athlete.id);
  for (const set of sets)
    expect(course.find(({ setId }) => setId === set.id)?.figures).toMatchObject({
      counted: set.reps.length,
    });
  const after = await server.lineOf('Juno Marlock');
  expect(after.lastSet?.id).toBe(sets.at(-1)?.id);
  const standings = (await server.get(server.club('standings'))).body as StandingReply[];
  const own = standings.find(({ athlete }) => athlete.name === 'Juno Marlock');
  expect(own?.standing.lastTimedMs).toBe(Date.parse(sets.at(-1)?.body.startedAt ?? ''));
  const ladder = (await server.get(server.club(`patterns/${line.patternId}/ladder`)))
    .body as LadderReply;
  const place = ladder.everyone.find(({ athlete }) => athlete.id === line.athlete.id);
  expect(place?.rung).toBe(after.rung);
  expect(own).toMatchObject({ rung: after.rung, lastSet: { id: after.lastSet?.id } });
  // Four sets poured in while others look all the time is what a small machine can do at most.
}, 60_000);

test('a squad is worked out a few at a time: at each of many first looks everyone is there once, and reps come in', async () => {
  const more = 30;
  await server.run(
    `insert into athlete select p.* from generate_series(1, ${more}) n,
       lateral (select (jsonb_populate_record(a, jsonb_build_object(
         'id', md5(n::text)::uuid, 'name', 'Pupil ' || n))).*
         from athlete a where a.name = 'Wren Hallowby') p`,
  );
  const line = await server.lineOf('Wren Hallowby');
  await server.run('truncate squad_line, athlete_standing, ladder_standing, squad_form');
  const set = setOf(line, { reactionMs: 250, recoveryMs: 900 });
  const [looks] = await Promise.all([
    Promise.all(Array.from({ length: 4 }, () => server.get(server.club('squad')).expect(200))),
    pour(set),
  ]);
  for (const { body } of looks) {
    const names = (body as SquadLineReply[]).map(({ athlete }) => athlete.name);
    expect(names.filter((name) => name.startsWith('Pupil '))).toHaveLength(more);
    expect(new Set(names).size).toBe(names.length);
  }
  expect((await server.lineOf('Wren Hallowby')).lastSet?.id).toBe(set.id);
});

test('corrections of one rep by many at once leave figures of the one that stands', async () => {
  const line = await server.lineOf('Idris Fennimar');
  const set = setOf(line, { reactionMs: 250, recoveryMs: 900 });
  await pour(set);
  const [rep] = set.reps;
  const looking = lookOn(line);
  const corrections = await Promise.all(
    Array.from({ length: 6 }, (_, n) => {
      const corrected = { by: 'Mara', at: new Date(Date.now() + n).toISOString() };
      const body = { ...rep?.body, struckOut: n % 2 === 0, replaces: rep?.id, corrected };
      return server.put(server.club(`sets/${set.id}/reps/${v7()}`), body);
    }),
  );
  await looking.stop();
  expect(new Set(corrections.map(({ status }) => status))).toEqual(new Set([200]));
  const review = (await server.get(server.club(`sets/${set.id}`))).body as {
    reps: { id: string; replaces: string | null; struckOut: boolean }[];
  };
  const corrected = review.reps.filter(({ replaces }) => replaces === rep?.id);
  const standing = corrected.sort((a, b) => (a.id < b.id ? -1 : 1)).at(-1);
  const { sets } = await courseOf(line.athlete.id);
  expect(sets.find(({ setId }) => setId === set.id)?.figures.counted).toBe(
    standing?.struckOut ? 9 : 10,
  );
});

test('the same set sent twenty times at once is one set', async () => {
  const line = await server.lineOf('Oskar Tvedmoor');
  const before = (await courseOf(line.athlete.id)).sets.length;
  const set = setOf(line, { reactionMs: 260, recoveryMs: 950 });
  const replies = await Promise.all(
    Array.from({ length: 20 }, () => server.put(server.club(`sets/${set.id}`), set.body)),
  );
  expect(replies.map(({ status }) => status)).toEqual(Array.from({ length: 20 }, () => 200));
  await pour(set);
  expect((await courseOf(line.athlete.id)).sets).toHaveLength(before + 1);
});

test('the first look of many at once is worked out for all, and the same for all', async () => {
  const line = await server.lineOf('Rafe Lindhollow');
  await pour(setOf(line, { reactionMs: 250, recoveryMs: 900 }));
  const pages = await Promise.all(
    Array.from({ length: 12 }, () => server.get(server.club('standings')).expect(200)),
  );
  const [first, ...rest] = pages.map(({ body }) => body as StandingReply[]);
  for (const page of rest) expect(page).toEqual(first);
});

test('servers that begin together on an empty database bring its tables once', async () => {
  const name = `together_${process.pid}_${Date.now()}`;
  await onCluster(`create database ${name}`);
  const url = new URL(server.databaseUrl);
  url.pathname = name;
  const settings = { ...urlsOf(url.href), host: '127.0.0.1', port: 0, demo: 'none' } as const;
  const apps = await Promise.all([createApp(settings), createApp(settings), createApp(settings)]);
  await Promise.all(apps.map((app) => app.close()));
  const again = await createApp(settings);
  await again.close();
  await onCluster(`drop database ${name}`);
}, 60_000);

test('while the database ends connections, whoever asks is told to try again, and never that something went wrong', async () => {
  const line = await server.lineOf('Wren Hallowby');
  const pages = ['squad', `athletes/${line.athlete.id}/course`, 'athletes', 'plans', 'reps.csv'];
  const answered = new Set<number>();
  let on = true;
  const asking = Array.from({ length: 8 }, async (_, place) => {
    for (let n = place; on; n++)
      answered.add((await server.get(server.club(pages[n % pages.length] ?? ''))).status);
  });
  const name = new URL(server.databaseUrl).pathname.slice(1);
  for (let kills = 0; kills < 15; kills++)
    await onCluster(
      `select pg_terminate_backend(pid), pg_sleep(0.02) from pg_stat_activity where datname = '${name}'`,
    );
  on = false;
  await Promise.all(asking);
  expect([...answered].filter((status) => status !== 503)).toEqual([200]);
  await server.get(server.club('squad')).expect(200);
});
