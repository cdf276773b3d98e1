import { pathOf, type PathParams, type Route } from '@orthokin/contract/routes';
import type { Outbox } from '../device/outbox.js';
import type { Subject } from '../device/store.js';
import { call, Unreachable } from './client.js';

/**
 * Sends something that is kept; without a network it stays on this device and is sent later. Throws
 * `Refused` when the server says no.
 */
export async function sendOrLater<Path extends string, Takes, Gives>(
  outbox: Outbox,
  subject: Subject,
  route: Route<Path, Takes, undefined, Gives>,
  params: PathParams<Path>,
  body: Takes,
): Promise<void> {
  try {
    await call(route, params, { body });
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
    await outbox.queue({ subject, method: route.method, body, path: pathOf(route, params) });
  }
}
