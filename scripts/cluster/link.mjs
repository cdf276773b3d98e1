import { connect, createServer } from 'node:net';

/** @typedef {import('node:net').Socket} Socket */

/**
 * A network link between two machines that can be cut. Like a pulled cable, a cut link swallows what is sent without
 * an error.
 */
export class Link {
  /** @type {Map<Socket, Socket>} from each end to the other */
  #ends = new Map();
  #isCut = false;

  /** @param {number} to */
  constructor(to) {
    this.port = 0;
    this.server = createServer((near) => this.#join(near, connect(to, '127.0.0.1')));
  }

  /** @param {number} to the port it leads to */
  static async lay(to) {
    const link = new Link(to);
    await new Promise((done) => link.server.listen(0, '127.0.0.1', () => done(undefined)));
    const address = link.server.address();
    link.port = address && typeof address === 'object' ? address.port : 0;
    return link;
  }

  cut() {
    this.#isCut = true;
    for (const [one, other] of this.#ends) one.unpipe(other).pause();
  }

  mend() {
    this.#isCut = false;
    for (const [one, other] of this.#ends) one.pipe(other);
  }

  close() {
    for (const end of this.#ends.keys()) end.destroy();
    this.server.close();
  }

  /** @param {Socket} near @param {Socket} far */
  #join(near, far) {
    for (const [one, other] of /** @type {const} */ ([
      [near, far],
      [far, near],
    ])) {
      this.#ends.set(one, other);
      one.setNoDelay(true);
      one.on('error', () => undefined);
      one.on('close', () => {
        this.#ends.delete(one);
        other.destroy();
      });
      if (!this.#isCut) one.pipe(other);
    }
  }
}
