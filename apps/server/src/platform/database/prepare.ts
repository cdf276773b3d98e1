import { MikroORM, type EntityManager } from '@mikro-orm/postgresql';
import { DatabaseRefusal } from './database-refusal.js';
import { ormOptions, type Tables } from './orm-options.js';
import { sealAll } from './seal-all.js';
import { letServe } from './serving-role.js';

const OLDEST_VERSION = 140_000;
/** Key of the advisory lock that keeps two starting servers from migrating at once. The number is arbitrary. */
const MIGRATION_LOCK = 4_310_001;

async function connect(url: string, tables: Tables): Promise<MikroORM> {
  const { host, pathname } = new URL(url);
  try {
    return await MikroORM.init(ormOptions(url, tables));
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    throw new DatabaseRefusal(
      `The database ${pathname.slice(1)} at ${host} does not answer (${why}). Start it, or check DATABASE_URL, and start again.`,
    );
  }
}

async function checkVersion(orm: MikroORM): Promise<void> {
  const [row] = await orm.em
    .getConnection()
    .execute<{ server_version_num: string }[]>('show server_version_num');
  if (Number(row?.server_version_num) < OLDEST_VERSION)
    throw new DatabaseRefusal(
      `Orthokin needs PostgreSQL 14 or newer; the one at DATABASE_URL is ${String(row?.server_version_num)}.`,
    );
}

/** Migrates the database and then runs `fill`. Safe to repeat, and to run in several processes at once. */
export async function prepareDatabase(
  { databaseUrl, servingUrl }: { readonly databaseUrl: string; readonly servingUrl: string },
  tables: Tables,
  fill: (em: EntityManager) => Promise<void> = () => Promise.resolve(),
): Promise<void> {
  const orm = await connect(databaseUrl, tables);
  try {
    await checkVersion(orm);
    await orm.em.transactional(async (em) => {
      await em.execute('select pg_advisory_xact_lock(?)', [MIGRATION_LOCK]);
      await orm.migrator.up();
    });
    await sealAll(orm.em.fork());
    await fill(orm.em.fork());
    await letServe(orm.em.fork(), servingUrl);
  } finally {
    await orm.close();
  }
}
