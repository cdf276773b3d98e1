import type { IncomingMessage } from 'node:http';

/** What a connection's owner may do on the live channel. */
export interface RunsDrills {
  /** Clubs whose drills it may run; empty if none. */
  readonly clubIds: readonly string[];
  /** The signed-in account's name; empty if nobody is signed in. */
  readonly name: string;
}

/** Tells the live channel, which has no routes to guard, who opened a connection. */
export abstract class WhoAsks {
  abstract runsDrills(request: IncomingMessage): Promise<RunsDrills>;

  /** Registers a listener that is called whenever somebody may have been signed out. */
  abstract onSignedOut(listener: () => void): void;
}
