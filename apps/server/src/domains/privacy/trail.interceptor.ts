import {
  Injectable,
  type CallHandler,
  type ExecutionContext,
  type NestInterceptor,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { PrivateMatter } from '@orthokin/core/people';
import type { Request } from 'express';
import { concatMap, type Observable } from 'rxjs';
import { callerNow } from '../../platform/auth/caller.js';
import { TOUCHES } from '../../platform/http/serves.js';
import { TrailService } from './trail.service.js';

/**
 * Records who asks for something private, before the request is answered. Athletes and guardians who look at their
 * own data are not recorded, nor is anybody at a machine without accounts, who has no name.
 */
@Injectable()
export class TrailInterceptor implements NestInterceptor {
  constructor(
    private readonly reflector: Reflector,
    private readonly trail: TrailService,
  ) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const matter = this.reflector.get<PrivateMatter | undefined>(TOUCHES, context.getHandler());
    const { signedIn, role } = callerNow();
    if (!matter || !signedIn || role === 'athlete') return next.handle();
    const request = context.switchToHttp().getRequest<Request>();
    const deed = request.method === 'GET' ? 'saw' : 'changed';
    return next.handle().pipe(
      concatMap(async (reply: unknown) => {
        await this.trail.note(signedIn, athleteIn(request), matter, deed);
        return reply;
      }),
    );
  }
}

/** The athlete a request is about, from its path or body. */
function athleteIn({ params, body }: Request): string | null {
  const said = body as { readonly athleteId?: unknown } | undefined;
  const named = params['athleteId'] ?? said?.athleteId;
  return typeof named === 'string' ? named : null;
}
