import { randomUUID } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';

export const REQUEST_ID = 'X-Request-Id';

/** A request's id, from a proxy or made here; it is in the log line and in the reply. */
export function requestId(request: IncomingMessage, response: ServerResponse): string {
  const given = request.headers[REQUEST_ID.toLowerCase()];
  const id = typeof given === 'string' && /^[\w-]{8,64}$/.test(given) ? given : randomUUID();
  response.setHeader(REQUEST_ID, id);
  return id;
}
