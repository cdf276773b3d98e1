import type { RefusalReply } from '@orthokin/contract';
import { pathOf, type Method, type PathParams, type Route } from '@orthokin/contract/routes';
import type { Problem } from '@orthokin/core/result';
import { hearServerTime, setRight } from '../device/server-clock.js';
import { say } from '../words/api.js';
import { askOrKept, isKept } from './kept.js';

/** The server refused a request. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly problems: readonly Problem[] = [],
  ) {
    super(message);
  }
}

/** Whether a move was refused because the ladder requires a reason or approval. */
export const lacksWord = (error: Error | null): boolean =>
  error instanceof Refused && error.problems.some(({ field }) => field === 'reason');

/** Whether a change was refused because somebody else changed the same thing meanwhile. */
export const isOvertaken = (error: unknown): boolean =>
  error instanceof Refused && error.problems.some(({ field }) => field === 'revision');

/** The address names something that does not exist, or cannot. */
export class NotThere extends Refused {}

/** The server could not be reached, or failed. */
export class Unreachable extends Error {
  constructor() {
    super(say('serverDoesNotAnswerWhatYou'));
  }
}

const BAD_GATEWAY = 502;

async function refusalOf(response: Response): Promise<Refused> {
  const body = (await response.json().catch(() => null)) as RefusalReply | null;
  const id = response.headers.get('X-Request-Id');
  const message = body?.message ?? response.statusText;
  const named = response.status >= 500 && id ? say('messageRequest', { message, id }) : message;
  return new Refused(named, response.status, body?.problems);
}

interface Asked<Takes, Query> {
  readonly body?: Takes;
  readonly query?: Query;
}

const queryWords = (query: object): string => {
  const given = Object.entries(query).flatMap(([name, value]) =>
    value === undefined ? [] : [[name, String(value)]],
  );
  return given.length > 0 ? `?${new URLSearchParams(given).toString()}` : '';
};

/**
 * Sends a request to a path below `/api/`.
 * @returns the parsed reply
 */
export async function send(method: Method, path: string, body?: unknown): Promise<unknown> {
  const isFile = body instanceof Blob;
  const response = await fetch(`/api/${path}`, {
    method,
    ...(body !== undefined && {
      body: isFile ? body : JSON.stringify(setRight(body)),
      headers: { 'Content-Type': isFile ? 'application/zip' : 'application/json' },
    }),
  }).catch(() => {
    throw new Unreachable();
  });
  hearServerTime(response.headers.get('Date'));
  if (response.status >= BAD_GATEWAY) throw new Unreachable();
  if (!response.ok) throw await refusalOf(response);
  return response.json();
}

const isSilence = (error: unknown): boolean => error instanceof Unreachable;

const FORBIDDEN = 403;

/** Rewords a refusal for people whose role does not allow it. */
const notFor = (refused: Refused): Refused => {
  const role = refused.problems.find(({ field }) => field === 'role')?.given;
  return role === undefined ? refused : new Refused(say('notForRole', { role }), FORBIDDEN);
};

const NOTHING_THERE = say('thereNothingThisAddressMayOld');

/** Whether all problems are about parts of the address, which no coach typed as such. */
const isOfAddress = ({ problems }: Refused, params: object): boolean =>
  problems.length > 0 && problems.every(({ field }) => field in params);

/**
 * Sends a request of the route table.
 * @throws Refused if the server refuses, Unreachable if there is no usable reply
 */
export async function call<Path extends string, Takes, Query, Gives>(
  route: Route<Path, Takes, Query, Gives>,
  params: PathParams<Path>,
  { body, query }: Asked<Takes, Query> = {},
): Promise<Gives> {
  const path = `${pathOf(route, params)}${queryWords(query ?? {})}`;
  try {
    // The server's own types guarantee the reply's type, through the same table.
    return (await (isKept(route)
      ? askOrKept(route, path, () => send(route.method, path, body), isSilence)
      : send(route.method, path, body))) as Gives;
  } catch (error) {
    if (error instanceof Refused && error.status === FORBIDDEN) throw notFor(error);
    if (error instanceof Refused && isOfAddress(error, params))
      throw new NotThere(NOTHING_THERE, error.status);
    throw error;
  }
}
