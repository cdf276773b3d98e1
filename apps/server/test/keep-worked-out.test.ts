import { Entity, Property } from '@mikro-orm/core';
import { MikroORM } from '@mikro-orm/postgresql';
import type { SquadLineReply } from '@orthokin/contract';
import { v7 } from 'uuid';
import { keepWorkedOut } from '../src/derived/keep-worked-out.js';
import { ormOptions } from '../src/platform/database/orm-options.js';
import { ClubOwned } from '../src/platform/storage/club-owned.js';
import { goodBodies } from './support/good-bodies.js';
import { TestServer } from './support/server.js';
import { setOf } from './support/sets.js';

/** How many sets an athlete has, as something that is worked out. */
@Entity({ tableName: 'sets_of' })
class SetsOf extends ClubOwned {
  @Property({ type: 'integer' })
  sets!: number;
}

let server: TestServer;
let orm: MikroORM;
let all: string[];
/** Whom it was worked out of, each time. */
let asked: (readonly string[])[];

beforeAll(async () => {
  server = await TestServer.start();
  await server.run(
    'create table sets_of (club_id uuid, id uuid, sets int not null, primary key (club_id, id))',
  );
  orm = await MikroORM.init(ormOptions(server.databaseUrl, { entities: [SetsOf], migrations: [] }));
  all = (await server.squad()).map(({ athlete }) => athlete.id);
}, 60_000);
afterAll(async () => {
  await orm.close();
  await server.stop();
});
beforeEach(async () => {
  asked = [];
  await server.run('truncate sets_of');
});

const counted = (athleteIds: readonly string[]) =>
  orm.em.fork().execute<{ clubId: string; id: string; sets: number }[]>(
    `select a.club_id as "clubId", a.id, count(s.id)::int as sets
     from athlete a left join drill_set s on s.club_id = a.club_id and s.athlete_id = a.id
     where a.id = any (?::uuid[]) group by 1, 2`,
    [`{${athleteIds.join(',')}}`],
  );

/** Works the sets of some out and keeps them; something may happen once they were counted. */
const keep = (athleteIds: readonly string[], meanwhile: () => Promise<void> | void) =>
  keepWorkedOut(orm.em.fork(), server.clubId, athleteIds, {
    entity: SetsOf,
    athleteOf: ({ id }) => id,
    workOut: async (ids) => {
      asked.push(ids);
      const rows = await counted(ids);
      if (asked.length === 1) await meanwhile();
      return rows;
    },
  });
const kept = () => server.read<{ id: string; sets: number }>('select id, sets from sets_of');
const sorted = (rows: readonly { id: string; sets: number }[]) =>
  rows.map(({ id, sets }) => ({ id, sets })).sort((a, b) => (a.id < b.id ? -1 : 1));

/** Takes a set of an athlete out, through the door. */
async function takeSetOut(athleteId: string): Promise<void> {
  const [set] = await server.read<{ id: string }>(
    `select id from drill_set where athlete_id = '${athleteId}' limit 1`,
  );
  await server.delete(server.club(`sets/${set?.id ?? ''}`)).expect(200);
}

test('whoever times an athlete is not held up while something is worked out of them', async () => {
  const rows = await keep(all, async () => {
    // Waits for no lock: one that another holds fails at once.
    await server.run('begin; select 1 from athlete for update nowait; rollback');
  });
  expect(asked).toHaveLength(1);
  expect(sorted(rows)).toEqual(sorted(await counted(all)));
  expect(sorted(await kept())).toEqual(sorted(rows));
});

test('of whom something changed meanwhile what was worked out answers and is not kept; the next look keeps', async () => {
  const [changed = ''] = all;
  const before = await counted(all);
  const rows = await keep(all, () => takeSetOut(changed));
  expect(asked).toHaveLength(1);
  expect(sorted(rows)).toEqual(sorted(before));
  expect(sorted(await kept())).toEqual(sorted(before.filter(({ id }) => id !== changed)));
  await keep([changed], () => undefined);
  expect(sorted(await kept())).toEqual(sorted(await counted(all)));
});

test('of somebody who was taken out meanwhile nothing is kept', async () => {
  const [gone = '', ...others] = all;
  await keep(all, () => server.run(`delete from athlete where id = '${gone}'`));
  expect(sorted(await kept())).toEqual(sorted(await counted(others)));
});

test('of nobody nothing is asked', async () => {
  expect(await keep([], () => undefined)).toEqual([]);
  expect(asked).toEqual([]);
});

describe('what something may follow from is counted as a change', () => {
  const changes = async () => {
    const rows = await server.read<{ id: string; changes: number }>(
      'select id, changes from athlete',
    );
    return new Map(rows.map(({ id, changes: so }) => [id, so]));
  };
  const put = (path: string, body: object) => server.put(server.club(path), body).expect(200);
  const body = (name: string, of: SquadLineReply) => goodBodies(of)[name] ?? {};

  test.each<[string, (line: SquadLineReply) => Promise<unknown>]>([
    ['a set', (line) => put(`sets/${v7()}`, body('DrillSetBody', line))],
    [
      'a rep',
      async (line) => {
        const set = setOf(line, { reactionMs: 250, recoveryMs: 900 });
        await put(`sets/${set.id}`, set.body);
        await put(`sets/${set.id}/reps/${v7()}`, set.reps[0]?.body ?? {});
      },
    ],
    ['a move', (line) => put(`moves/${v7()}`, body('RungMoveBody', line))],
    ['limits of their own', (line) => put(`own-ladders/${v7()}`, body('OwnLadderBody', line))],
    [
      'another pattern',
      (line) => put(`athletes/${line.athlete.id}/works-on`, body('WorksOnBody', line)),
    ],
  ])('%s, of whom it is and of nobody else', async (_, change) => {
    const line = await server.lineOf('Idris Fennimar');
    const before = await changes();
    await change(line);
    const after = await changes();
    expect(after.get(line.athlete.id)).toBeGreaterThan(before.get(line.athlete.id) ?? Infinity);
    after.delete(line.athlete.id);
    for (const [id, so] of after) expect(so).toBe(before.get(id));
  });

  test('a ladder’s settings, of everybody', async () => {
    const before = await changes();
    await put(`ladders/${v7()}`, body('LadderBody', await server.lineOf('Idris Fennimar')));
    for (const [id, so] of await changes()) expect(so).toBe((before.get(id) ?? NaN) + 1);
  });
});
