import type { IncomingMessage } from 'node:http';

/** Whether whoever opens a connection may run drills: asked where there is no request to hold against a route. */
export abstract class WhoAsks {
  abstract mayRunDrills(request: IncomingMessage): Promise<boolean>;

  /** Calls when somebody here may have been signed out, so that what they hold open is looked at again. */
  abstract onSignedOut(listener: () => void): void;
}
