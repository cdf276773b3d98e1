import {
  HttpStatus,
  Injectable,
  SetMetadata,
  type CanActivate,
  type ExecutionContext,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { MayAsk } from '@orthokin/contract/routes';
import type { Request } from 'express';
import { refuseWith } from '../http/refusals.js';
import { callerNow } from './caller.js';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
const MAY_ASK = 'may ask';

/** Declares who may send a request that is not in the contract's table of routes. */
export const MayBeAsked = (may: MayAsk): MethodDecorator => SetMetadata(MAY_ASK, may);

/** The first wall: which roles may call a route. The second is row-level security, which decides what they see. */
@Injectable()
export class MayAskGuard implements CanActivate {
  constructor(private readonly reflector: Reflector) {}

  canActivate(context: ExecutionContext): boolean {
    if (context.getType() !== 'http') return true;
    const may = this.reflector.get<MayAsk | undefined>(MAY_ASK, context.getHandler());
    const { signedIn, clubId, role, isThisMachine } = callerNow();
    // Express and the middleware parse addresses differently; both must have found the same club.
    const { clubId: routed } = context.switchToHttp().getRequest<Request>().params;
    if (typeof routed === 'string' && UUID.test(routed) && routed.toLowerCase() !== clubId)
      throw refuse(HttpStatus.NOT_FOUND, 'clubId', 'an id', 'the id of a club, as it is written');
    if (may === 'anyone' || (may === 'this machine' && isThisMachine)) return true;
    if (may === 'this machine')
      throw refuse(HttpStatus.FORBIDDEN, 'address', 'another device', 'the machine that serves');
    if (role === null)
      throw signedIn
        ? refuse(HttpStatus.NOT_FOUND, 'clubId', 'an id', 'the id of the club you are signed in to')
        : refuse(HttpStatus.UNAUTHORIZED, 'sign-in', 'nobody', 'somebody who is signed in');
    // A route without a declaration can be called by nobody.
    if (may && may.includes(role)) return true;
    throw refuse(HttpStatus.FORBIDDEN, 'role', role, may?.join(', ') ?? 'nobody');
  }
}

const refuse = (status: HttpStatus, field: string, given: string, allowed: string) =>
  refuseWith(status, [{ field, given, allowed }]);
