import { maySend, recordsNow } from './who.js';
import { store, type Outgoing, type Subject } from './store.js';

export interface SendingState {
  /** Unacknowledged requests, and what they are about. */
  readonly waiting: number;
  readonly subjects: ReadonlySet<Subject>;
  /** The server's reasons for refusals, oldest first. */
  readonly refusals: readonly string[];
  readonly reachable: boolean;
  /** People who must sign in before their records can be sent, each once. */
  readonly waitsFor: readonly string[];
}

/** A queued request; without a key it exists only in memory. */
interface Queued extends Outgoing {
  readonly key: number | null;
}

/** The result of sending: accepted, refused for good, or no answer. */
export type Delivery = 'taken' | 'unheard' | { readonly refused: string };

const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 10_000;
const LOCK = 'orthokin-outbox';

/**
 * Sends queued requests in order, one at a time, until each is acknowledged. If several tabs are open only the one
 * with the lock sends; sending twice would change nothing.
 */
export class Outbox {
  private state: SendingState = {
    ...{ waiting: 0, subjects: new Set(), refusals: [], reachable: true, waitsFor: [] },
  };
  private readonly listeners = new Set<() => void>();
  private readonly unkept: Outgoing[] = [];
  private readonly refusedUnkept: string[] = [];
  private running = false;
  private wanted = false;
  /** Counts added requests, to notice that the queue has grown since it was read. */
  private added = 0;
  private retryMs = FIRST_RETRY_MS;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly deliver: (item: Outgoing) => Promise<Delivery>) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): SendingState => this.state;

  /**
   * Sends what is queued, because something was added or the network may be back. What was just added counts as
   * waiting at once, before storage is read: nothing may be reported as sent that is not.
   */
  readonly wake = async (added: readonly Outgoing[] = []): Promise<void> => {
    if (added.length > 0) {
      this.added += added.length;
      this.tell({
        waiting: this.state.waiting + added.length,
        subjects: new Set([...this.state.subjects, ...added.map(({ subject }) => subject)]),
      });
    }
    // If called while a round is ending, it must start another round.
    this.wanted = true;
    if (this.running) return;
    this.running = true;
    clearTimeout(this.timer);
    try {
      while (this.wanted) {
        this.wanted = false;
        // Over plain HTTP there are no locks, and sending twice would change nothing either.
        if ('locks' in navigator) await navigator.locks.request(LOCK, () => this.sendAll());
        else await this.sendAll();
      }
    } finally {
      this.running = false;
    }
  };

  private async sendAll(): Promise<void> {
    for (;;) {
      const next = await this.next();
      await this.publish({});
      if (!next) return;
      const delivery = await this.deliver(next);
      if (delivery === 'unheard') {
        await this.publish({ reachable: false });
        this.timer = setTimeout(() => void this.wake(), this.retryMs);
        this.retryMs = Math.min(LONGEST_RETRY_MS, this.retryMs * 2);
        return;
      }
      this.retryMs = FIRST_RETRY_MS;
      await this.settle(next, delivery);
      await this.publish({ reachable: true });
    }
  }

  /** Stores a request on the device, and sends it when possible. */
  readonly queue = async (item: Outgoing): Promise<void> => {
    try {
      await (await store()).add('outgoing', { ...item, by: recordsNow() });
      void this.wake([item]);
    } catch {
      this.sendUnkept([item]);
    }
  };

  /** Sends requests that could not be stored, from memory, while this page lives. */
  readonly sendUnkept = (items: readonly Outgoing[]): void => {
    const by = recordsNow();
    this.unkept.push(...items.map((item) => ({ ...item, by })));
    void this.wake(items);
  };

  private async next(): Promise<Queued | null> {
    const kept = (await this.kept()).find(({ by }) => maySend(by));
    if (kept) return kept;
    const unkept = this.unkept.find(({ by }) => maySend(by));
    return unkept ? { ...unkept, key: null } : null;
  }

  private async kept(): Promise<Queued[]> {
    try {
      const tx = (await store()).transaction('outgoing');
      const [keys, items] = await Promise.all([tx.store.getAllKeys(), tx.store.getAll()]);
      return items.map((item, i) => ({ ...item, key: keys[i] ?? null }));
    } catch {
      // Unreadable storage has nothing to send.
      return [];
    }
  }

  private async settle({ key, ...item }: Queued, delivery: Delivery): Promise<void> {
    const refused = typeof delivery === 'object' && { ...item, why: delivery.refused };
    if (key === null) {
      this.unkept.splice(
        this.unkept.findIndex(({ path }) => path === item.path),
        1,
      );
      if (refused) this.refusedUnkept.push(refused.why);
      return;
    }
    const db = await store();
    const tx = db.transaction(['outgoing', 'refused'], 'readwrite');
    await Promise.all([
      tx.objectStore('outgoing').delete(key),
      refused && tx.objectStore('refused').add(refused),
      tx.done,
    ]);
  }

  private async publish(change: Partial<SendingState>): Promise<void> {
    const { added } = this;
    const waiting = [...(await this.kept()), ...this.unkept];
    const refusedKept = await store().then(
      (db) => db.getAll('refused'),
      () => [],
    );
    if (added !== this.added) return this.publish(change);
    this.tell({
      ...change,
      waiting: waiting.length,
      waitsFor: [...new Set(waiting.flatMap(({ by }) => (by && !maySend(by) ? [by.name] : [])))],
      subjects: new Set(waiting.map(({ subject }) => subject)),
      refusals: [...refusedKept.map(({ why }) => why), ...this.refusedUnkept],
    });
  }

  private tell(change: Partial<SendingState>): void {
    this.state = { ...this.state, ...change };
    for (const listener of this.listeners) listener();
  }
}
