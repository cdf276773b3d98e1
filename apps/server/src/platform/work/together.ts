/** A read in progress, and the one that follows it. */
interface Turn<Value> {
  readonly over: Promise<unknown>;
  next: Promise<Value> | null;
}

/**
 * Coalesces simultaneous reads of the same thing. Whoever asks during a read joins the next one, so that nobody is
 * given a state older than their question, and everybody waits for at most two reads.
 */
export class Together<Value> {
  private readonly turns = new Map<string, Turn<Value>>();

  /** The result of `read`, shared with everybody who asked under the same key at the same time. */
  of(key: string, read: () => Promise<Value>): Promise<Value> {
    const now = this.turns.get(key);
    if (!now) return this.begin(key, read);
    return (now.next ??= now.over.then(() => this.begin(key, read)));
  }

  private begin(key: string, read: () => Promise<Value>): Promise<Value> {
    const reading = read();
    const turn: Turn<Value> = { over: reading.catch(() => undefined), next: null };
    this.turns.set(key, turn);
    // Registered first, so it runs before the followers: they either see no turn or have started their own.
    void turn.over.then(() => {
      if (turn.next === null) this.turns.delete(key);
    });
    return reading;
  }
}
