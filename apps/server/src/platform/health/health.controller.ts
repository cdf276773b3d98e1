import { Controller, Get } from '@nestjs/common';
import {
  DiskHealthIndicator,
  HealthCheck,
  HealthCheckService,
  MikroOrmHealthIndicator,
  type HealthCheckResult,
} from '@nestjs/terminus';
import { MayBeAsked } from '../auth/may-ask.guard.js';

const DATABASE_TIMEOUT_MS = 2000;
/** A database on a disk fuller than this will soon not write. */
const DISK_FULL = 0.97;

@Controller('health')
export class HealthController {
  constructor(
    private readonly health: HealthCheckService,
    private readonly database: MikroOrmHealthIndicator,
    private readonly disk: DiskHealthIndicator,
  ) {}

  @Get()
  @MayBeAsked('anyone')
  @HealthCheck()
  check(): Promise<HealthCheckResult> {
    return this.health.check([
      () => this.disk.checkStorage('disk', { path: '/', thresholdPercent: DISK_FULL }),
      () => this.database.pingCheck('database', { timeout: DATABASE_TIMEOUT_MS }),
    ]);
  }
}
