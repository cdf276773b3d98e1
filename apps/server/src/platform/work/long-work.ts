import { DriverException } from '@mikro-orm/core';
import { ServiceUnavailableException } from '@nestjs/common';
import type { Problem } from '@orthokin/core/result';
import { Piscina } from 'piscina';
import { codeOf, DATABASE_AWAY, isAway } from '../database/away.js';
import { refuseWith } from '../http/refusals.js';

/** The heap limit of a worker thread; work that needs more is refused, and the server lives on. */
const MOST_MB = 320;
/**
 * The young generation's size: rows pass by the thousand, and with V8's default half the time went into garbage
 * collection.
 */
const MOST_NEW_MB = 32;
const AT_ONCE = 2;
const MOST_WAITING = 12;
/** How long an idle thread is kept, with its database connections. */
const IDLE_MS = 20_000;
const MOST_MS = 120_000;

const TOO_MUCH: Problem = {
  field: 'file',
  given: 'more than can be worked through',
  allowed: 'less of it at once',
};
/** Piscina's message when its queue is full. */
const AT_LIMIT = 'Task queue is at limit';

/**
 * What a worker thread returns: a value, the reasons why its input was refused, or how it failed. An error thrown
 * there would arrive without its class and code, but with the values of a failed statement.
 */
export type WorkAnswer<Value> =
  | { readonly value: Value }
  | { readonly refused: { readonly status: number; readonly problems: readonly Problem[] } }
  | { readonly failed: { readonly isAway: boolean; readonly message: string } };

/** How a task failed, without values from the database. */
export const failureOf = (error: unknown): WorkAnswer<never> => ({
  failed: { isAway: isAway(error), message: messageOf(error) },
});

function messageOf(error: unknown): string {
  if (error instanceof DriverException) return `A statement of a thread failed (${codeOf(error)}).`;
  return error instanceof Error ? (error.stack ?? error.message) : String(error);
}

/**
 * Runs work that would block the event loop in a pool of threads, each with limits on memory and time; what exceeds
 * the pool waits.
 */
export class LongWork {
  private readonly pool: Piscina;

  /**
   * @param filename the threads' module: its default export does a task by its name
   * @param settings passed to each thread as `workerData`
   * @param ready how many threads are started in advance and kept
   */
  constructor(filename: string, settings: object, ready = 0) {
    this.pool = new Piscina({
      filename,
      workerData: settings,
      minThreads: ready,
      maxThreads: AT_ONCE,
      maxQueue: MOST_WAITING,
      idleTimeout: IDLE_MS,
      // By default an idle thread blocks on an atomic, and would never notice that its connections time out.
      atomics: 'disabled',
      resourceLimits: { maxOldGenerationSizeMb: MOST_MB, maxYoungGenerationSizeMb: MOST_NEW_MB },
    });
    // A dying thread already rejects its task; an unhandled `error` event would end the server as well.
    this.pool.on('error', () => undefined);
  }

  /** Runs a task of the threads' module. */
  async run<Value>(task: string, data: object): Promise<Value> {
    const answer = await this.answerTo<Value>({ task, data });
    if ('refused' in answer) {
      const { status, problems } = answer.refused;
      throw refuseWith(status, problems);
    }
    if ('failed' in answer) {
      if (answer.failed.isAway) throw new ServiceUnavailableException(DATABASE_AWAY);
      throw new Error(answer.failed.message);
    }
    return answer.value;
  }

  private async answerTo<Value>(task: object): Promise<WorkAnswer<Value>> {
    try {
      const signal = AbortSignal.timeout(MOST_MS);
      return (await this.pool.run(task, { signal })) as WorkAnswer<Value>;
    } catch (error) {
      const { name = '', code = '', message = '' } = error as Partial<Record<string, string>>;
      if (name === 'AbortError' || code === 'ERR_WORKER_OUT_OF_MEMORY')
        throw refuseWith(413, [TOO_MUCH]);
      if (message === AT_LIMIT)
        throw new ServiceUnavailableException('Too much is being read and written; try again.');
      throw error;
    }
  }

  async close(): Promise<void> {
    await this.pool.destroy();
  }
}
