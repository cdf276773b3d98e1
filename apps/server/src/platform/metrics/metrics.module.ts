import { Controller, Get, Header, Injectable, Module } from '@nestjs/common';
import type { CallHandler, ExecutionContext, NestInterceptor } from '@nestjs/common';
import { APP_INTERCEPTOR } from '@nestjs/core';
import { ApiOkResponse } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { collectDefaultMetrics, Histogram, Registry } from 'prom-client';
import { finalize, type Observable } from 'rxjs';
import { MayBeAsked } from '../auth/may-ask.guard.js';

/** Prometheus metrics of this process: memory, event loop delay, and response times by route. */
@Injectable()
export class Metrics {
  readonly registry = new Registry();
  private readonly seconds = new Histogram({
    name: 'http_request_seconds',
    help: 'Time from a request to its reply, by route and status.',
    labelNames: ['method', 'route', 'status'],
    buckets: [0.005, 0.02, 0.05, 0.1, 0.25, 1, 5],
    registers: [this.registry],
  });

  constructor() {
    collectDefaultMetrics({ register: this.registry });
  }

  observe(method: string, route: string, status: number, seconds: number): void {
    this.seconds.observe({ method, route, status }, seconds);
  }
}

@Injectable()
class Measuring implements NestInterceptor {
  constructor(private readonly metrics: Metrics) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    if (context.getType() !== 'http') return next.handle();
    const began = process.hrtime.bigint();
    const request = context.switchToHttp().getRequest<Request>();
    const response = context.switchToHttp().getResponse<Response>();
    return next.handle().pipe(
      finalize(() => {
        const seconds = Number(process.hrtime.bigint() - began) / 1e9;
        const { path } = request.route as { readonly path: string };
        this.metrics.observe(request.method, path, response.statusCode, seconds);
      }),
    );
  }
}

@Controller('metrics')
class MetricsController {
  constructor(private readonly metrics: Metrics) {}

  /** Only for programs on this machine. */
  @Get()
  @MayBeAsked('this machine')
  @Header('Content-Type', 'text/plain; version=0.0.4; charset=utf-8')
  @ApiOkResponse({ content: { 'text/plain': { schema: { type: 'string' } } } })
  all(): Promise<string> {
    return this.metrics.registry.metrics();
  }
}

@Module({
  controllers: [MetricsController],
  providers: [Metrics, { provide: APP_INTERCEPTOR, useClass: Measuring }],
})
export class MetricsModule {}
