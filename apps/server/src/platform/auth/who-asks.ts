import type { IncomingMessage } from 'node:http';

/** Whether whoever opens a connection may run drills: asked where there is no request to hold against a route. */
export abstract class WhoAsks {
  abstract mayRunDrills(request: IncomingMessage): Promise<boolean>;
}
