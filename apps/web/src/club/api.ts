import type { RefusalReply } from '@orthokin/contract';
import type { Problem } from '@orthokin/core/result';

/** The server answered, and said no. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly problems: readonly Problem[] = [],
  ) {
    super(message);
  }
}

/** The server could not be reached, or could not answer. */
export class Unreachable extends Error {
  constructor() {
    super('The server does not answer. What you record is kept here and sent when it does.');
  }
}

const BAD_GATEWAY = 502;

async function refusalOf(response: Response): Promise<Refused> {
  const body = (await response.json().catch(() => null)) as RefusalReply | null;
  return new Refused(body?.message ?? response.statusText, response.status, body?.problems);
}

/** One request. Throws `Refused` when the server says no and `Unreachable` when it says nothing. */
async function request(
  method: 'GET' | 'PUT' | 'POST' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<unknown> {
  const isFile = body instanceof Blob;
  const response = await fetch(`/api/${path}`, {
    method,
    ...(body !== undefined && {
      body: isFile ? body : JSON.stringify(body),
      headers: { 'Content-Type': isFile ? 'application/zip' : 'application/json' },
    }),
  }).catch(() => {
    throw new Unreachable();
  });
  if (response.status >= BAD_GATEWAY) throw new Unreachable();
  if (!response.ok) throw await refusalOf(response);
  return response.json();
}

export const get = (path: string): Promise<unknown> => request('GET', path);
export const put = (path: string, body: unknown): Promise<unknown> => request('PUT', path, body);
/** Sends a file as it is. */
export const post = (path: string, file: Blob): Promise<unknown> => request('POST', path, file);
export const remove = (path: string, body: unknown): Promise<unknown> =>
  request('DELETE', path, body);
