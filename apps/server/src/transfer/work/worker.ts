import 'reflect-metadata';
import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { workerData } from 'node:worker_threads';
import { EntityManager, RequestContext } from '@mikro-orm/postgresql';
import type { INestApplicationContext } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import { withinClub } from '../../platform/auth/scope.js';
import { buildWalls } from '../../platform/auth/walls.js';
import { failureOf, type WorkAnswer } from '../../platform/work/long-work.js';
import { TablesService } from '../tables.service.js';
import { bringClub } from './bring-club.js';
import { checkImport } from './check-import.js';
import { compileRules } from './check-row.js';
import { StoringService, type ImportKey } from './storing.service.js';
import { takeClub } from './take-club.js';
import { Unreadable } from './unpack.js';
import { WorkerModule } from './worker.module.js';

/** The tasks of a thread and their arguments; `path` is a file to write or to read. */
export interface Tasks {
  readonly takeClub: { readonly clubId: string; readonly path: string };
  readonly bringClub: { readonly path: string };
  readonly keepImport: ImportKey & { readonly path: string };
  readonly storeImport: ImportKey;
  readonly repsTable: { readonly clubId: string; readonly path: string };
  readonly setsTable: { readonly clubId: string; readonly path: string };
  readonly beReady: Readonly<Record<string, never>>;
}

let started: Promise<INestApplicationContext> | null = null;

async function startServices(): Promise<INestApplicationContext> {
  const { databaseUrl } = workerData as { databaseUrl: string };
  const app = await NestFactory.createApplicationContext(WorkerModule.with({ databaseUrl }), {
    logger: false,
    abortOnError: false,
  });
  buildWalls(app.get(EntityManager));
  return app;
}

/** This thread's own services, on connections of its own. */
async function services(): Promise<INestApplicationContext> {
  try {
    return await (started ??= startServices());
  } catch (error) {
    // Try again next time: the database may have been away only for a moment.
    started = null;
    throw error;
  }
}

const write = (text: AsyncIterable<string>, path: string): Promise<void> =>
  pipeline(Readable.from(text), createWriteStream(path));

/** Works in a club, in an ORM context of its own. */
const within = (
  { clubId }: ImportKey,
  em: EntityManager,
  work: () => Promise<unknown>,
): Promise<unknown> => withinClub(clubId, () => RequestContext.create(em, work));

type Doing = {
  readonly [Task in keyof Tasks]: (
    data: Tasks[Task],
    em: EntityManager,
    app: INestApplicationContext,
  ) => Promise<unknown>;
};

const DOING: Doing = {
  takeClub: ({ clubId, path }, em, app) =>
    withinClub(clubId, () => takeClub(em, app.get(TablesService), clubId, path)),
  bringClub: ({ path }, em) => bringClub(em, path),
  keepImport: ({ path, ...asked }, em, app) =>
    within(asked, em, async () => app.get(StoringService).keep(asked, await checkImport(path))),
  storeImport: (asked, em, app) => within(asked, em, () => app.get(StoringService).store(asked)),
  repsTable: ({ clubId, path }, _em, app) =>
    withinClub(clubId, () => write(app.get(TablesService).repsOfClub(clubId), path)),
  setsTable: ({ clubId, path }, _em, app) =>
    withinClub(clubId, () => write(app.get(TablesService).setsOfClub(clubId), path)),
  // The services have been started by `work`.
  beReady: () => {
    compileRules();
    return Promise.resolve();
  },
};

/** The thread's entry point, called by the pool. */
export default async function work<Task extends keyof Tasks>({
  task,
  data,
}: {
  task: Task;
  data: Tasks[Task];
}): Promise<WorkAnswer<unknown>> {
  const app = await services();
  const em = app.get(EntityManager);
  try {
    return { value: await DOING[task](data, em.fork(), app) };
  } catch (error) {
    return error instanceof Unreadable
      ? { refused: { status: error.status, problems: error.problems } }
      : failureOf(error);
  } finally {
    em.clear();
  }
}
