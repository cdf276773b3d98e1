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

/** Metadata key: which private thing a route reveals, for the trail. */
export const TOUCHES = 'touches';
/** Metadata key: whether a route's reply may be shared between simultaneous requests. */
export const SHARED = 'shared';

/** The class of a reply, or of its elements if it is a list. */
type ReplyClass<Reply> = Reply extends readonly (infer Each)[] ? Type<Each> : Type<Reply>;

interface Classes<Takes, Gives> {
  readonly takes?: Type<Takes>;
  readonly gives?: ReplyClass<Gives>;
  /** The reply is a list of these. */
  readonly each?: boolean;
  /** Simultaneous requests may share one reply; it must depend on nothing but the visible rows and the role. */
  readonly shared?: boolean;
}

/** For routes with a query string: its class. */
interface Asking<Query> {
  readonly asks: Type<Query>;
}

/**
 * Decorates a handler with a route of the contract's table: method, path, allowed roles, and the classes that check
 * and document query, body and reply. The compiler holds these to the table's types.
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
