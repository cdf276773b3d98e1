import { spawnSync } from 'node:child_process';
import { pathToFileURL } from 'node:url';
import { resolve } from 'node:path';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';
import { setOf } from './support/sets.js';

jest.setTimeout(60_000);

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

const HOLD = pathToFileURL(resolve(__dirname, '../../../scripts/move/hold.mjs')).href;

/** Does one of the things a move does to the database, as whoever owns its tables. */
function act(what: 'holdClub' | 'letGo', clubId = server.clubId): void {
  const { status, stderr } = spawnSync(
    process.execPath,
    [
      '--input-type=module',
      '-e',
      `import pg from 'pg';
       import { ${what} } from '${HOLD}';
       const client = new pg.Client({ connectionString: process.env.ADDRESS });
       await client.connect();
       await ${what}(client, '${clubId}');
       await client.end();`,
    ],
    { env: { ...process.env, ADDRESS: server.databaseUrl }, encoding: 'utf8', cwd: __dirname },
  );
  if (status !== 0) throw new Error(stderr);
}

test('while a club is moved nobody writes at it and everybody is told to come again; its pages and other clubs go on', async () => {
  const line = await server.lineOf('Amara Quill');
  const set = setOf(line, { reactionMs: 250, recoveryMs: 900 });
  const path = server.club(`sets/${set.id}`);
  await server.put(path, set.body).expect(200);
  const [first, second] = set.reps;
  await server.put(`${path}/reps/${first?.id ?? ''}`, first?.body ?? {}).expect(200);

  act('holdClub');
  const refused = await server.put(`${path}/reps/${second?.id ?? ''}`, second?.body ?? {});
  expect(refused.status).toBe(503);
  expect(Number(refused.headers['retry-after'])).toBeGreaterThan(0);
  await server.put(server.club(`groups/${v7()}`), { name: 'Late', athleteIds: [] }).expect(503);
  const { body } = await server.get(path).expect(200);
  expect((body as { reps: unknown[] }).reps).toHaveLength(1);
  const other = { name: 'Next door', sport: 'squash', unit: 'metres', faults: [] };
  await server.put(`/api/clubs/${v7()}`, other).expect(200);

  // Another club that is held there, or let go, is none of this one's business.
  const another = v7();
  act('holdClub', another);
  act('letGo', another);
  await server.put(`${path}/reps/${second?.id ?? ''}`, second?.body ?? {}).expect(503);
  act('letGo');
  await server.put(`${path}/reps/${second?.id ?? ''}`, second?.body ?? {}).expect(200);
});
