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

/** Up to where a device has written; a standby that is not there yet shows it nothing. */
const COOKIE = 'orthokin.after';
/** Says whoever looks after it where a reply was read. */
const FROM_STANDBY = 'db;desc="standby"';
/** By then what was written is old enough for every standby that is read from. */
const REMEMBERED_MS = 60_000;

const writtenIn = ({ headers }: Request): string[] => {
  const [, given = ''] = /(?:^|; )orthokin\.after=([^;]*)/.exec(headers.cookie ?? '') ?? [];
  const position = decodeURIComponent(given);
  return POSITION.test(position) ? [position] : [];
};

/**
 * A club's pages are read from a standby of the database where there is one that is fresh enough. Each device
 * carries up to where it has written last, so that whoever writes sees it at once, at whichever server.
 * Who looks at something private is written down, and so asks the leader; so does who asks whether all is well.
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
        // Where it cannot be asked there is no leader, and nothing that could be fresher than another.
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
