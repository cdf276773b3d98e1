import {
  Injectable,
  type CallHandler,
  type ExecutionContext,
  type NestInterceptor,
} from '@nestjs/common';
import type { Request, Response } from 'express';
import { defer, lastValueFrom, tap, type Observable } from 'rxjs';
import { callerNow } from '../auth/caller.js';
import { scopeNow } from '../auth/scope.js';
import { Together } from '../work/together.js';
import { SHARED } from '../http/serves.js';

/**
 * When many devices ask for the same page at once (after a rep all of them are notified), reads and serialises it
 * once for everybody who sees the same rows in the same role. The trail of who saw something private is kept outside,
 * per request.
 */
@Injectable()
export class SharedReading implements NestInterceptor {
  private readonly together = new Together<string>();

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    if (!Reflect.getMetadata(SHARED, context.getHandler())) return next.handle();
    const http = context.switchToHttp();
    const { originalUrl } = http.getRequest<Request>();
    const { clubId, athleteIds } = scopeNow();
    const key = JSON.stringify([callerNow().role, clubId, athleteIds, originalUrl]);
    const read = async () => JSON.stringify(await lastValueFrom<unknown>(next.handle()));
    return defer(() => this.together.of(key, read)).pipe(
      tap(() => http.getResponse<Response>().type('json')),
    );
  }
}
