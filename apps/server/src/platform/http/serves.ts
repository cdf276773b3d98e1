import { applyDecorators, Delete, Get, Post, Put, SetMetadata, type Type } from '@nestjs/common';
import type { Method, Route } from '@orthokin/contract/routes';
import { MayBeAsked } from '../auth/may-ask.guard.js';
import { Gives, Takes } from './openapi.js';

const METHODS: Readonly<Record<Method, (path: string) => MethodDecorator>> = {
  GET: Get,
  PUT: Put,
  POST: Post,
  DELETE: Delete,
};

/** Under which name a request knows what is private of it. */
export const TOUCHES = 'touches';

/** The class of what a reply is, or of each of its elements. */
type ReplyClass<Reply> = Reply extends readonly (infer Each)[] ? Type<Each> : Type<Reply>;

interface Classes<Takes, Gives> {
  readonly takes?: Type<Takes>;
  readonly gives?: ReplyClass<Gives>;
  /** The reply is a list. */
  readonly each?: boolean;
}

/**
 * Serves a route of the table: its method and path, and the classes that its body and reply are
 * described and checked by. They must be what the table says; so is who may send it.
 */
export function Serves<Path extends string, Body, Query, Reply>(
  { method, path, may, touches }: Route<Path, Body, Query, Reply>,
  { takes, gives, each = false }: Classes<Body, Reply> = {},
): MethodDecorator {
  return applyDecorators(
    METHODS[method](path),
    MayBeAsked(may),
    SetMetadata(TOUCHES, touches),
    ...(takes ? [Takes(takes)] : []),
    ...(gives ? [Gives(gives, { each })] : []),
  );
}
