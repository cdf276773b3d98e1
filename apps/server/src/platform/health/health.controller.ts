import { Controller, Get, ServiceUnavailableException } from '@nestjs/common';
import {
  DiskHealthIndicator,
  HealthCheck,
  HealthCheckService,
  MikroOrmHealthIndicator,
  type HealthCheckResult,
} from '@nestjs/terminus';
import { UnderWay } from '../http/under-way.js';
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
    private readonly underWay: UnderWay,
  ) {}

  @Get()
  @MayBeAsked('anyone')
  @HealthCheck()
  check(): Promise<HealthCheckResult> {
    if (this.underWay.isStopping) throw new ServiceUnavailableException('The server is stopping.');
    return this.health.check([
      () => this.disk.checkStorage('disk', { path: '/', thresholdPercent: DISK_FULL }),
      () => this.database.pingCheck('database', { timeout: DATABASE_TIMEOUT_MS }),
    ]);
  }
}
