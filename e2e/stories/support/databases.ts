import { MikroORM } from '@mikro-orm/postgresql';

/** A database with the demo club in it; every worker's is a copy of this one. */
export const TEMPLATE = 'browser_stories_demo';

const urlOf = (name: string): string => {
  const url = new URL(process.env['TEST_DATABASE_URL'] ?? '');
  url.pathname = name;
  return url.href;
};

/** How a server connects to one of these databases: as a role that owns nothing in it. */
export function servingUrlOf(databaseUrl: string): string {
  const url = new URL(process.env['TEST_SERVING_URL'] ?? '');
  url.pathname = new URL(databaseUrl).pathname;
  return url.href;
}

/** Does something with the test cluster's own database. */
async function onCluster<T>(act: (execute: (sql: string) => Promise<unknown>) => Promise<T>) {
  const orm = await MikroORM.init({
    clientUrl: process.env['TEST_DATABASE_URL'] ?? '',
    entities: [],
    discovery: { warnWhenNoEntities: false },
  });
  try {
    return await act((sql) => orm.em.getConnection().execute(sql));
  } finally {
    await orm.close();
  }
}

/** A new database of this name, a copy of the template when there is one to copy. */
export async function freshDatabase(name: string, from?: string): Promise<string> {
  await onCluster(async (execute) => {
    await execute(`drop database if exists ${name} with (force)`);
    await execute(`create database ${name}${from ? ` template ${from}` : ''}`);
  });
  return urlOf(name);
}

export const exists = (name: string): Promise<boolean> =>
  onCluster(async (execute) => {
    const found = (await execute(
      `select 1 from pg_database where datname = '${name}'`,
    )) as unknown[];
    return found.length > 0;
  });
