import type { NextFunction, Request, Response } from 'express';

const LONGEST_MS = 15_000;
const LOOK_EVERY_MS = 50;

/** Counts requests in progress, so that a stopping server can finish them. */
export class UnderWay {
  private count = 0;
  private stopping = false;

  /** Whether the server is stopping; its health check then fails, so that load balancers send nothing more. */
  get isStopping(): boolean {
    return this.stopping;
  }

  readonly middleware = (_request: Request, response: Response, next: NextFunction): void => {
    this.count += 1;
    response.once('close', () => (this.count -= 1));
    next();
  };

  /**
   * Waits until no request is in progress, and for at least `noticeMs`, so that a load balancer has noticed. Gives up
   * on requests after 15 s: their clients send them again.
   */
  async finish(noticeMs: number): Promise<void> {
    this.stopping = true;
    const began = Date.now();
    const spent = () => Date.now() - began;
    while (spent() < noticeMs || (this.count > 0 && spent() < LONGEST_MS))
      await new Promise((done) => setTimeout(done, LOOK_EVERY_MS));
  }
}
