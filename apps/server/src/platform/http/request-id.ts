import { randomUUID } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';

export const REQUEST_ID = 'X-Request-Id';

/** Every request has an id, which its log line and its reply carry; given by a proxy or made here. */
export function requestId(request: IncomingMessage, response: ServerResponse): string {
  const given = request.headers[REQUEST_ID.toLowerCase()];
  const id = typeof given === 'string' && /^[\w-]{8,64}$/.test(given) ? given : randomUUID();
  response.setHeader(REQUEST_ID, id);
  return id;
}
