import 'reflect-metadata';
import { workerData } from 'node:worker_threads';
import { MikroORM } from '@mikro-orm/postgresql';
import { DEMO_CLUB_ID } from '@orthokin/core/people';
import { withinClub } from '../platform/auth/scope.js';
import { buildWalls } from '../platform/auth/walls.js';
import { ormOptions } from '../platform/database/orm-options.js';
import type { WorkAnswer } from '../platform/work/long-work.js';
import { TABLES } from '../tables.js';
import { loadDemo } from './load-demo.js';

/** Creates the demo club in a thread: simulating eight weeks of sets would block the server. */
export default async function work(): Promise<WorkAnswer<null>> {
  const { databaseUrl } = workerData as { databaseUrl: string };
  const orm = await MikroORM.init(ormOptions(databaseUrl, TABLES));
  buildWalls(orm.em);
  try {
    await withinClub(DEMO_CLUB_ID, () => loadDemo(orm.em.fork(), 'missing'));
    return { value: null };
  } finally {
    await orm.close();
  }
}
