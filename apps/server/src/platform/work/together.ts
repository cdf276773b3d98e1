/** One reading that is under way, and the one after it. */
interface Turn<Value> {
  readonly over: Promise<unknown>;
  next: Promise<Value> | null;
}

/**
 * Reads once for all who ask for the same at the same moment: whoever asks while it is being read waits for
 * a reading that begins after that, together with everybody else who does. So nobody is given what was read
 * before they asked, and of a crowd each waits for two readings at most.
 */
export class Together<Value> {
  private readonly turns = new Map<string, Turn<Value>>();

  /** What `read` finds, by whoever of those who ask under this key reads. */
  of(key: string, read: () => Promise<Value>): Promise<Value> {
    const now = this.turns.get(key);
    if (!now) return this.begin(key, read);
    return (now.next ??= now.over.then(() => this.begin(key, read)));
  }

  private begin(key: string, read: () => Promise<Value>): Promise<Value> {
    const reading = read();
    const turn: Turn<Value> = { over: reading.catch(() => undefined), next: null };
    this.turns.set(key, turn);
    // Comes before whatever waits for the turn to be over: they find it gone, or have begun their own.
    void turn.over.then(() => {
      if (turn.next === null) this.turns.delete(key);
    });
    return reading;
  }
}
