import type { CallHandler, ExecutionContext, NestInterceptor } from '@nestjs/common';
import { Injectable } from '@nestjs/common';
import type { Request } from 'express';
import { retry, throwError, timer, type Observable } from 'rxjs';

/** SQLSTATE of a deadlock, and of a serialisation failure. */
const CROSSED = ['40P01', '40001'];
const MOST_AGAIN = 3;
const AFTER_MS = 20;

const isCrossed = (error: unknown): boolean =>
  typeof error === 'object' &&
  error !== null &&
  'code' in error &&
  CROSSED.includes(String(error.code));

/**
 * Repeats a request that lost a deadlock or serialisation conflict, after random waits that grow. This is safe
 * because every request is idempotent. A streamed request cannot be repeated, since its body has been consumed.
 */
@Injectable()
export class Retried implements NestInterceptor {
  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const { method, body } = context
      .switchToHttp()
      .getRequest<Request<unknown, unknown, unknown>>();
    if (method !== 'GET' && body === undefined) return next.handle();
    return next.handle().pipe(
      retry({
        count: MOST_AGAIN,
        delay: (error: unknown, again) =>
          isCrossed(error)
            ? timer(AFTER_MS * again * (1 + Math.random()))
            : throwError(() => error),
      }),
    );
  }
}
