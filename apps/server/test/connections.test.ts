import type { EntityManager } from '@mikro-orm/postgresql';
import { buildWalls } from '../src/platform/auth/walls.js';
import { within } from '../src/platform/auth/scope.js';
import { Standby } from '../src/platform/database/standby.js';

/** A connection of a pool, as far as it matters here: it answers, says that it is behind, or breaks. */
class Connection {
  readonly asked: string[] = [];
  constructor(private readonly answers: 'well' | 'behind' | 'broken') {}

  query(asked: string | { readonly text: string }): Promise<{ rows: { isFresh: boolean }[] }> {
    this.asked.push(typeof asked === 'string' ? asked : asked.text);
    return this.answers === 'broken'
      ? Promise.reject(new Error('The connection broke.'))
      : Promise.resolve({ rows: [{ isFresh: this.answers === 'well' }] });
  }
}

/** A pool of one connection, which must come back before it is handed out again. */
class Pool {
  isOut = false;
  constructor(readonly connection: Connection) {}

  acquireConnection(): Promise<Connection> {
    if (this.isOut) throw new Error('Nobody gave it back.');
    this.isOut = true;
    return Promise.resolve(this.connection);
  }

  releaseConnection(connection: Connection): Promise<void> {
    if (connection !== this.connection) throw new Error('It is of another pool.');
    this.isOut = false;
    return Promise.resolve();
  }
}

function database(near: Connection, leading = new Connection('well')) {
  const pools = { leader: new Pool(leading), near: new Pool(near) };
  const em = {
    getConnection: (side?: 'read') => ({
      getKnex: () => ({ client: side === 'read' ? pools.near : pools.leader }),
    }),
    fork: () => ({ execute: () => Promise.resolve([{ position: '0/10' }]) }),
  } as unknown as EntityManager;
  return { em, pools };
}

const standbys: Standby[] = [];
function standbyOf(em: EntityManager): Standby {
  const standby = new Standby(em);
  standbys.push(standby);
  return standby;
}
afterEach(() => {
  for (const standby of standbys.splice(0)) standby.onModuleDestroy();
});

const club = { clubId: 'a', athleteIds: null };
const AFTER_A_LOOK_MS = 700;
const look = () => new Promise((done) => setTimeout(done, AFTER_A_LOOK_MS));

test('a connection that breaks while it is told whose rows it shows is given back', async () => {
  const { em, pools } = database(new Connection('well'), new Connection('broken'));
  buildWalls(em);
  for (let time = 0; time < 3; time++)
    await expect(within(club, () => pools.leader.acquireConnection())).rejects.toThrow('broke');
  expect(pools.leader.isOut).toBe(false);
});

test.each([
  ['fresh', 'well', 'near'],
  ['behind', 'behind', 'leader'],
  ['broken', 'broken', 'leader'],
] as const)(
  'what is read beside a standby that is %s comes from where it should, and goes back there',
  async (_, answers, side) => {
    const { em, pools } = database(new Connection(answers));
    const standby = standbyOf(em);
    buildWalls(em);
    await look();
    const read = () =>
      standby.read(['0/20'], async () => {
        const connection = await within(club, () => pools.leader.acquireConnection());
        await pools.leader.releaseConnection(connection);
        return connection;
      });
    for (let time = 0; time < 2; time++) {
      const { value, wasNear } = await read();
      expect(value).toBe(pools[side].connection);
      expect(wasNear).toBe(side === 'near');
      expect(value.asked.some((text) => text.includes('app.club'))).toBe(true);
    }
    expect([pools.near.isOut, pools.leader.isOut]).toEqual([false, false]);
    // Whatever is no reading of a page is the leader's.
    const written = await within(club, () => pools.leader.acquireConnection());
    expect(written).toBe(pools.leader.connection);
  },
);

test('what does not come to its end at a standby is done once more at the leader, and only then refused', async () => {
  const { em, pools } = database(new Connection('well'));
  const standby = standbyOf(em);
  await look();
  const sides: boolean[] = [];
  const work = async () => {
    const connection = await pools.leader.acquireConnection();
    await pools.leader.releaseConnection(connection);
    sides.push(connection === pools.near.connection);
    throw new Error('There is no such set.');
  };
  await expect(standby.read([], work)).rejects.toThrow('no such set');
  expect(sides).toEqual([true, false]);
  // Before anything of the database was asked there is nothing to ask anew.
  let times = 0;
  const refuse = () => Promise.reject(new Error(`Not ${(times += 1)} times.`));
  await expect(standby.read([], refuse)).rejects.toThrow('Not 1 times.');
});
