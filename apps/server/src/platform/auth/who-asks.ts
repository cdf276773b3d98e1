import type { IncomingMessage } from 'node:http';

/** Whoever opens a connection, as far as it is let in by who it is. */
export interface RunsDrills {
  /** Clubs it may run drills of; none where it may not. */
  readonly clubIds: readonly string[];
  /** Of its account; empty where nobody is signed in. */
  readonly name: string;
}

/** Who opens a connection: asked where there is no request to hold against a route. */
export abstract class WhoAsks {
  abstract runsDrills(request: IncomingMessage): Promise<RunsDrills>;

  /** Calls when somebody here may have been signed out, so that what they hold open is looked at again. */
  abstract onSignedOut(listener: () => void): void;
}
