import { statfs } from 'node:fs/promises';
import { Controller, Get, ServiceUnavailableException } from '@nestjs/common';
import {
  HealthCheck,
  HealthCheckService,
  HealthIndicatorService,
  MikroOrmHealthIndicator,
  type HealthCheckResult,
  type HealthIndicatorResult,
} from '@nestjs/terminus';
import { UnderWay } from '../http/under-way.js';
import { MayBeAsked } from '../auth/may-ask.guard.js';

const DATABASE_TIMEOUT_MS = 2000;
/** Above this share PostgreSQL will soon be unable to write. */
const DISK_FULL = 0.97;

@Controller('health')
export class HealthController {
  constructor(
    private readonly health: HealthCheckService,
    private readonly database: MikroOrmHealthIndicator,
    private readonly indicators: HealthIndicatorService,
    private readonly underWay: UnderWay,
  ) {}

  @Get()
  @MayBeAsked('anyone')
  @HealthCheck()
  check(): Promise<HealthCheckResult> {
    if (this.underWay.isStopping) throw new ServiceUnavailableException('The server is stopping.');
    return this.health.check([
      () => this.disk(),
      () => this.database.pingCheck('database', { timeout: DATABASE_TIMEOUT_MS }),
    ]);
  }

  /** Asks the operating system directly: Terminus's own disk check spawns a process each time. */
  private async disk(): Promise<HealthIndicatorResult> {
    const indicator = this.indicators.check('disk');
    const { blocks, bfree, bavail } = await statfs('/');
    const used = blocks - bfree;
    const share = used / (used + bavail);
    return share < DISK_FULL
      ? indicator.up()
      : indicator.down(`The disk is ${Math.floor(100 * share)} % full.`);
  }
}
