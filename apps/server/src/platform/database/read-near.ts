import {
  Injectable,
  type CallHandler,
  type ExecutionContext,
  type NestInterceptor,
} from '@nestjs/common';
import type { Request, Response } from 'express';
import { defer, lastValueFrom, mergeMap, type Observable } from 'rxjs';
import { POSITION, type Standby } from './standby.js';
import { TOUCHES } from '../http/serves.js';

/**
 * Cookie with the log position of the device's last write. A standby that has not replayed it yet is not read from.
 */
const COOKIE = 'orthokin.after';
/** `Server-Timing` value that tells an operator that a reply was read from a standby. */
const FROM_STANDBY = 'db;desc="standby"';
/** After this long every standby still in use has replayed the write, and the cookie can expire. */
const REMEMBERED_MS = 60_000;

const writtenIn = ({ headers }: Request): string[] => {
  const [, given = ''] = /(?:^|; )orthokin\.after=([^;]*)/.exec(headers.cookie ?? '') ?? [];
  const position = decodeURIComponent(given);
  return POSITION.test(position) ? [position] : [];
};

/**
 * Reads a club's pages from a standby when it is fresh enough. Each device carries the log position of its last write
 * in a cookie, so it sees its own writes at once, whichever server it asks.
 * Routes that touch something private leave an entry in the trail, and health checks are about the leader: both go
 * there.
 */
@Injectable()
export class ReadNear implements NestInterceptor {
  constructor(private readonly standby: Standby) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    if (context.getType() !== 'http') return next.handle();
    const request = context.switchToHttp().getRequest<Request>();
    const response = context.switchToHttp().getResponse<Response>();
    if (request.method === 'GET') {
      const isPrivate = Boolean(Reflect.getMetadata(TOUCHES, context.getHandler()));
      if (isPrivate || request.params['clubId'] === undefined) return next.handle();
      const handle = () =>
        lastValueFrom<unknown, unknown>(next.handle(), { defaultValue: undefined });
      return defer(async () => {
        const { value, wasNear } = await this.standby.read(writtenIn(request), handle);
        if (wasNear && !response.headersSent) response.setHeader('Server-Timing', FROM_STANDBY);
        return value;
      });
    }
    return next.handle().pipe(
      mergeMap(async (reply: unknown) => {
        // If the leader cannot be asked there is no position to remember; the cookie keeps the older one.
        const position = await this.standby.position().catch(() => null);
        if (position !== null && !response.headersSent)
          response.cookie(COOKIE, position, {
            ...{ httpOnly: true, sameSite: 'strict', secure: request.secure },
            ...{ path: '/api', maxAge: REMEMBERED_MS },
          });
        return reply;
      }),
    );
  }
}
