import { applyDecorators, Delete, Get, Post, Put, SetMetadata, type Type } from '@nestjs/common';
import type { Method, Route } from '@orthokin/contract/routes';
import { MayBeAsked } from '../auth/may-ask.guard.js';
import { Asks, Gives, Takes } from './openapi.js';

const METHODS: Readonly<Record<Method, (path: string) => MethodDecorator>> = {
  GET: Get,
  PUT: Put,
  POST: Post,
  DELETE: Delete,
};

/** Under which name a request knows what is private of it. */
export const TOUCHES = 'touches';
/** Under which name a request knows that it is read once for all who ask for it at the same moment. */
export const SHARED = 'shared';

/** The class of what a reply is, or of each of its elements. */
type ReplyClass<Reply> = Reply extends readonly (infer Each)[] ? Type<Each> : Type<Reply>;

interface Classes<Takes, Gives> {
  readonly takes?: Type<Takes>;
  readonly gives?: ReplyClass<Gives>;
  /** The reply is a list. */
  readonly each?: boolean;
  /** A page that many ask for at the same moment; it must say the same to all who are shown the same rows. */
  readonly shared?: boolean;
}

/** Where something is asked in the address: the class of that, too. */
interface Asking<Query> {
  readonly asks: Type<Query>;
}

/**
 * Serves a route of the table: its method and path, and the classes that its query, body and reply are
 * described and checked by. They must be what the table says; so is who may send it.
 */
export function Serves<Path extends string, Body, Reply>(
  route: Route<Path, Body, undefined, Reply>,
  classes?: Classes<Body, Reply>,
): MethodDecorator;
export function Serves<Path extends string, Body, Query, Reply>(
  route: Route<Path, Body, Query, Reply>,
  classes: Classes<Body, Reply> & Asking<Query>,
): MethodDecorator;
export function Serves(
  { method, path, may, touches }: Route<string, unknown, unknown, unknown>,
  {
    takes,
    gives,
    asks,
    each = false,
    shared = false,
  }: Classes<unknown, unknown> & Partial<Asking<unknown>> = {},
): MethodDecorator {
  return applyDecorators(
    METHODS[method](path),
    MayBeAsked(may),
    SetMetadata(TOUCHES, touches),
    SetMetadata(SHARED, shared),
    ...(asks ? [Asks(asks)] : []),
    ...(takes ? [Takes(takes)] : []),
    ...(gives ? [Gives(gives, { each })] : []),
  );
}
