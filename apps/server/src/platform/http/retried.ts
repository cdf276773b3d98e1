import type { CallHandler, ExecutionContext, NestInterceptor } from '@nestjs/common';
import { Injectable } from '@nestjs/common';
import type { Request } from 'express';
import { retry, throwError, timer, type Observable } from 'rxjs';

/** SQLSTATE: two waited for each other; what one read another has changed. */
const CROSSED = ['40P01', '40001'];
const MOST_AGAIN = 3;
const AFTER_MS = 20;

const isCrossed = (error: unknown): boolean =>
  typeof error === 'object' &&
  error !== null &&
  'code' in error &&
  CROSSED.includes(String(error.code));

/**
 * Does a request once more whose work crossed another's and was undone by the database, after waits that
 * grow and differ. Every request may be done twice: what is sent again changes nothing. One that is read
 * as it comes cannot, since what came is read up.
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
