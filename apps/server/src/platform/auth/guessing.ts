import { HttpStatus } from '@nestjs/common';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { refuseWith } from '../http/refusals.js';

const QUARTER_HOUR_S = 15 * 60;
/** Wrong passwords for one account from one address. */
const MOST_OF_ONE = 6;
/** Wrong passwords from one address for any account; a hall full of people behind one router mistypes less often. */
const MOST_FROM_ONE_ADDRESS = 60;

/**
 * Limits password guesses per address, and per account only within an address: otherwise a stranger could lock
 * somebody out by guessing their password wrongly.
 */
export class Guessing {
  private readonly ofOne = new RateLimiterMemory({
    ...{ points: MOST_OF_ONE, duration: QUARTER_HOUR_S, blockDuration: QUARTER_HOUR_S },
  });
  private readonly fromOne = new RateLimiterMemory({
    ...{ points: MOST_FROM_ONE_ADDRESS, duration: QUARTER_HOUR_S, blockDuration: QUARTER_HOUR_S },
  });

  /**
   * Counts a guess. Call it before checking the password, so that parallel guesses cannot slip through together.
   * @throws once there were too many
   */
  async count(address: string, whom: string): Promise<void> {
    try {
      await this.fromOne.consume(address);
      await this.ofOne.consume(`${address} ${whom}`);
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error;
      const minutes = Math.ceil(error.msBeforeNext / 60_000);
      throw refuseWith(HttpStatus.TOO_MANY_REQUESTS, [
        { field: 'password', given: 'many tries', allowed: `the next one in ${minutes} min` },
      ]);
    }
  }

  /** Takes the guess back: the password was right. */
  async wasRight(address: string, whom: string): Promise<void> {
    await this.fromOne.reward(address);
    await this.ofOne.delete(`${address} ${whom}`);
  }
}
