import type { NextFunction, Request, Response } from 'express';

const LONGEST_MS = 15_000;
const LOOK_EVERY_MS = 50;

/** Requests that are being answered, so that a server that is asked to stop finishes them first. */
export class UnderWay {
  private count = 0;
  private stopping = false;

  /** Whether it was asked to stop: whatever stands in front must send nobody here any more. */
  get isStopping(): boolean {
    return this.stopping;
  }

  readonly middleware = (_request: Request, response: Response, next: NextFunction): void => {
    this.count += 1;
    response.once('close', () => (this.count -= 1));
    next();
  };

  /**
   * Waits until all that is under way is answered, and for as long as it takes whatever stands in front
   * to notice (`noticeMs`). What takes longer than a quarter of a minute is left: whoever asked asks again.
   */
  async finish(noticeMs: number): Promise<void> {
    this.stopping = true;
    const began = Date.now();
    const spent = () => Date.now() - began;
    while (spent() < noticeMs || (this.count > 0 && spent() < LONGEST_MS))
      await new Promise((done) => setTimeout(done, LOOK_EVERY_MS));
  }
}
