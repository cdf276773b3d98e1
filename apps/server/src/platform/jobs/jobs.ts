import {
  Inject,
  Injectable,
  Logger,
  type OnModuleDestroy,
  type OnModuleInit,
  type OnApplicationBootstrap,
} from '@nestjs/common';
import PgBoss from 'pg-boss';
import { DATABASE_URL } from '../database/database-url.js';
import { JOBS_SCHEMA } from '../database/serving-role.js';

/** A job whose process died is started again after this long, s. */
const GIVEN_UP_AFTER_S = 60;
const MOST_TRIES = 10;
const LOOK_EVERY_S = 1;
const CONNECTIONS = 2;

/** A job's handler, and what to do once it has failed for good. */
interface Doing {
  readonly work: (data: object) => Promise<void>;
  readonly gaveUp: (data: object) => Promise<void>;
}

/**
 * A job queue in the database (pg-boss). Jobs outlive restarts: any process may do them, and a job whose process died
 * is done again.
 */
@Injectable()
export class Jobs implements OnModuleInit, OnApplicationBootstrap, OnModuleDestroy {
  private readonly log = new Logger('jobs');
  private readonly boss: PgBoss;
  private readonly workers = new Map<string, string>();
  private readonly doing = new Map<string, Doing>();

  constructor(@Inject(DATABASE_URL) databaseUrl: string) {
    this.boss = new PgBoss({
      connectionString: databaseUrl,
      max: CONNECTIONS,
      schema: JOBS_SCHEMA,
    });
    this.boss.on('error', (error) => this.log.warn({ error: error.name }));
  }

  /** Registers a job's handler; call it before the application has started. */
  does(name: string, doing: Doing): void {
    this.doing.set(name, doing);
  }

  async onModuleInit(): Promise<void> {
    await this.boss.start();
  }

  async onApplicationBootstrap(): Promise<void> {
    for (const [name, { work, gaveUp }] of this.doing) {
      // `stately`: of each key at most one waiting and one active job.
      await this.boss.createQueue(name, { name, policy: 'stately' });
      const worker = await this.boss.work<object>(
        name,
        { pollingIntervalSeconds: LOOK_EVERY_S, includeMetadata: true },
        async (jobs) => {
          for (const { data, retryCount, retryLimit } of jobs)
            try {
              await work(data);
            } catch (error) {
              if (retryCount >= retryLimit) await gaveUp(data);
              throw error;
            }
        },
      );
      this.workers.set(name, worker);
    }
  }

  async onModuleDestroy(): Promise<void> {
    await this.boss.stop({ graceful: false });
  }

  /** Queues a job, unless one with the same key is already waiting. */
  async ask(name: string, data: object, key: string): Promise<void> {
    await this.boss.send(name, data, {
      ...{ singletonKey: key, retryLimit: MOST_TRIES, retryDelay: 1 },
      expireInSeconds: GIVEN_UP_AFTER_S,
    });
    // If this process does such jobs, wake it instead of waiting for its next poll.
    const worker = this.workers.get(name);
    if (worker !== undefined) this.boss.notifyWorker(worker);
  }
}
