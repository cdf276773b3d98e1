/** Things under way that can be called off together. */
export class Cancels {
  private readonly all: (() => void)[] = [];

  add(cancel: () => void): void {
    this.all.push(cancel);
  }

  /** Does something after so many milliseconds, at once when that is past. */
  after(ms: number, act: () => void): void {
    const timer = setTimeout(act, Math.max(0, ms));
    this.add(() => clearTimeout(timer));
  }

  readonly cancel = (): void => {
    for (const cancel of this.all.splice(0)) cancel();
  };
}
