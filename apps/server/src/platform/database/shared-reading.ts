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
 * A page that many devices ask for at the same moment (a rep came in, and all of them were told) is read, and
 * written out, once for those before whom the same rows are, in the same role. Who saw something private is
 * noted outside of this, for each of them.
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
