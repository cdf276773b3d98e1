import { pathOf, type PathParams, type Route } from '@orthokin/contract/routes';
import type { Outbox } from '../device/outbox.js';
import type { Subject } from '../device/store.js';
import { call, Unreachable } from './client.js';

/**
 * Sends a request, or queues it on this device while there is no network.
 * @returns which of the two
 * @throws Refused if the server refuses
 */
export async function sendOrLater<Path extends string, Takes, Gives>(
  outbox: Outbox,
  subject: Subject,
  route: Route<Path, Takes, undefined, Gives>,
  params: PathParams<Path>,
  body: Takes,
): Promise<'now' | 'later'> {
  try {
    await call(route, params, { body });
    return 'now';
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
    await outbox.queue({ subject, method: route.method, body, path: pathOf(route, params) });
    return 'later';
  }
}
