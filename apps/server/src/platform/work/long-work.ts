import { ServiceUnavailableException } from '@nestjs/common';
import type { Problem } from '@orthokin/core/result';
import { Piscina } from 'piscina';
import { refuseWith } from '../http/refusals.js';

/** What a worker thread may hold; what takes more is refused, and the server lives on. */
const MOST_MB = 320;
/** Rows pass by the thousand: with the usual few megabytes for what is new half the time goes into tidying up. */
const MOST_NEW_MB = 32;
const AT_ONCE = 2;
const MOST_WAITING = 12;
/** Until then a worker waits for more, with its connections open. */
const IDLE_MS = 20_000;
const MOST_MS = 120_000;

const TOO_MUCH: Problem = {
  field: 'file',
  given: 'more than can be worked through',
  allowed: 'less of it at once',
};
/** What the pool says when as many wait as may. */
const AT_LIMIT = 'Task queue is at limit';

/** What a worker thread answers: a value, or why what it was given cannot be taken. */
export type WorkAnswer<Value> =
  | { readonly value: Value }
  | { readonly refused: { readonly status: number; readonly problems: readonly Problem[] } };

/**
 * Work that would hold up everybody else, done in threads of its own: some at once, the others wait,
 * each with a bound on its memory and its time.
 */
export class LongWork {
  private readonly pool: Piscina;

  /**
   * @param filename what the threads do, a task by its name
   * @param settings what each thread is told of the surroundings
   * @param ready how many threads are there before they are asked for, and stay
   */
  constructor(
    private readonly filename: string,
    settings: object,
    ready = 0,
  ) {
    this.pool = new Piscina({
      workerData: settings,
      minThreads: ready,
      maxThreads: AT_ONCE,
      maxQueue: MOST_WAITING,
      idleTimeout: IDLE_MS,
      // A thread that sleeps until it is asked would keep its connections open for as long.
      atomics: 'disabled',
      resourceLimits: { maxOldGenerationSizeMb: MOST_MB, maxYoungGenerationSizeMb: MOST_NEW_MB },
    });
    // A thread that dies fails its task, which says so; it must not take the server with it.
    this.pool.on('error', () => undefined);
  }

  /** One of the things that the threads' file does. */
  run<Value>(task: string, data: object): Promise<Value> {
    return this.value<Value>({ task, data }, this.filename);
  }

  /** What another file does, which needs nothing of theirs. */
  runAlone<Value>(filename: string, data: object): Promise<Value> {
    return this.value<Value>(data, filename);
  }

  private async value<Value>(data: object, filename: string): Promise<Value> {
    const answer = await this.answerTo<Value>(data, filename);
    if ('refused' in answer) {
      const { status, problems } = answer.refused;
      throw refuseWith(status, problems);
    }
    return answer.value;
  }

  private async answerTo<Value>(data: object, filename: string): Promise<WorkAnswer<Value>> {
    try {
      const signal = AbortSignal.timeout(MOST_MS);
      // Named with each task and not for the pool: a thread loads the pool's file before any other.
      return (await this.pool.run(data, { signal, filename })) as WorkAnswer<Value>;
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
