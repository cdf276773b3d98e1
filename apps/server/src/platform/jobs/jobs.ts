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

/** A job that was begun by a process which is gone is begun anew after this, s. */
const GIVEN_UP_AFTER_S = 60;
const MOST_TRIES = 10;
const LOOK_EVERY_S = 1;
const CONNECTIONS = 2;

/** How a job is done, and what is left to do when it has failed as often as it may. */
interface Doing {
  readonly work: (data: object) => Promise<void>;
  readonly gaveUp: (data: object) => Promise<void>;
}

/**
 * Work that outlives a restart: asked for in the database, done by whichever process comes to it, begun
 * anew when that process is gone.
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

  /** Who does jobs of a name; said before the server is ready. */
  does(name: string, doing: Doing): void {
    this.doing.set(name, doing);
  }

  async onModuleInit(): Promise<void> {
    await this.boss.start();
  }

  async onApplicationBootstrap(): Promise<void> {
    for (const [name, { work, gaveUp }] of this.doing) {
      // One that waits and one that is done, of each key.
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

  /** Asks for a job; one with the same key that waits already is not asked for again. */
  async ask(name: string, data: object, key: string): Promise<void> {
    await this.boss.send(name, data, {
      ...{ singletonKey: key, retryLimit: MOST_TRIES, retryDelay: 1 },
      expireInSeconds: GIVEN_UP_AFTER_S,
    });
    // This process may be the one: it need not wait until it looks again.
    const worker = this.workers.get(name);
    if (worker !== undefined) this.boss.notifyWorker(worker);
  }
}
