/** Collects actions in progress, to cancel them together. */
export class Cancels {
  private readonly all: (() => void)[] = [];

  add(cancel: () => void): void {
    this.all.push(cancel);
  }

  /** Schedules an action after a delay; at once if the delay has passed. */
  after(ms: number, act: () => void): void {
    const timer = setTimeout(act, Math.max(0, ms));
    this.add(() => clearTimeout(timer));
  }

  readonly cancel = (): void => {
    for (const cancel of this.all.splice(0)) cancel();
  };
}
