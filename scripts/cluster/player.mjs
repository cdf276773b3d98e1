import { randomBytes } from 'node:crypto';
import { setOf, squadWithSetups, wait } from '../lib/recording.mjs';
import { Refusal } from '../lib/say.mjs';

const ASK_AGAIN_MS = 150;
const LONGEST_ASKING_MS = 5000;
const LOOK_AGAIN_MS = 100;

/** A cookie as it is sent back; empty where none of the name was set. @param {Response} answered @param {string} name */
const cookieOf = (answered, name) =>
  answered.headers
    .getSetCookie()
    .map((cookie) => cookie.split(';')[0] ?? '')
    .find((cookie) => cookie.startsWith(`${name}=`)) ?? '';

/** One of the devices, with the cookie that says up to where it has written. @typedef {{ after: string }} Device */

/** Devices of a club that record sets, and repeat each request until it is acknowledged. */
export class Player {
  /** @type {Map<string, any>} reps that were acknowledged, as they were sent */
  acknowledged = new Map();
  /** @type {Set<string>} */
  sets = new Set();
  /**
   * Reads of sets directly after recording them: how many came from a standby, and how many of these were incomplete.
   */
  reads = { all: 0, near: 0, behind: 0 };
  /** @type {number[]} moments of what was acknowledged */
  #moments = [];
  #cookie = '';
  #at = '';

  /** @param {string} address */
  constructor(address) {
    this.address = address;
  }

  /**
   * Gives the demo an owner, who signs in on all devices. @param {{ own: readonly string[], address: string }}
   * machines
   */
  static async signIn(machines) {
    const [own = ''] = machines.own;
    const direct = new Player(own);
    const [club] = await direct.get('clubs');
    const password = randomBytes(12).toString('hex');
    const account = { name: 'Mara', email: 'mara@example.org', password };
    await direct.#send('PUT', `clubs/${club.clubId}/owner`, account);
    const player = new Player(machines.address);
    player.#at = `clubs/${club.clubId}`;
    const signedIn = await player.#send('POST', 'sign-in', { email: account.email, password });
    player.#cookie = cookieOf(signedIn, 'orthokin');
    return player;
  }

  /** @param {string} path @returns {Promise<any>} */
  async get(path) {
    return (await this.#send('GET', path)).json();
  }

  /** Records sets as several devices at once. @param {number} clients @param {() => boolean} isEnough */
  async play(clients, isEnough) {
    const ready = await squadWithSetups((path) => this.get(path), this.#at);
    let begun = 0;
    const client = async () => {
      /** @type {Device} */
      const device = { after: '' };
      while (!isEnough()) {
        const set = setOf(ready[begun++ % ready.length]);
        await this.#untilAcknowledged(`sets/${set.id}`, set.body, device);
        this.sets.add(set.id);
        for (const { id, body } of set.reps) {
          await this.#untilAcknowledged(`sets/${set.id}/reps/${id}`, body, device);
          this.acknowledged.set(id, body);
          await wait(20);
        }
        // The first look works out and caches derived rows, on the primary; only the second can read from a standby.
        await this.#look(set, device);
        await wait(LOOK_AGAIN_MS);
        await this.#look(set, device);
      }
    };
    await Promise.all(Array.from({ length: clients }, client));
  }

  /** The longest time without an acknowledgement since a moment, ms. @param {number} since */
  longestPauseMs(since) {
    const moments = [since, ...this.#moments.filter((moment) => moment > since), Date.now()];
    return Math.max(...moments.slice(1).map((moment, i) => moment - (moments[i] ?? moment)));
  }

  /**
   * Looks at a set that was just recorded, on whichever server answers.
   * @param {{ id: string, reps: readonly unknown[] }} set @param {Device} device
   */
  async #look(set, device) {
    try {
      const answered = await this.#send('GET', `${this.#at}/sets/${set.id}`, undefined, device);
      const { reps } = /** @type {{ reps: unknown[] }} */ (await answered.json());
      this.reads.all++;
      if (answered.headers.has('server-timing')) this.reads.near++;
      if (reps.length < set.reps.length) this.reads.behind++;
    } catch {
      // No reply, so nothing wrong was shown either.
    }
  }

  /** @param {string} path @param {object} body @param {Device} device */
  async #untilAcknowledged(path, body, device) {
    for (;;) {
      try {
        await this.#send('PUT', `${this.#at}/${path}`, body, device);
        this.#moments.push(Date.now());
        return;
      } catch (error) {
        if (error instanceof Refusal) throw error;
      }
      await wait(ASK_AGAIN_MS);
    }
  }

  /** @param {string} method @param {string} path @param {object} [body] @param {Device} [device] */
  async #send(method, path, body, device) {
    const answered = await fetch(`${this.address}/api/${path}`, {
      method,
      headers: {
        ...(body && { 'Content-Type': 'application/json' }),
        Cookie: [this.#cookie, device?.after].filter(Boolean).join('; '),
      },
      ...(body && { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(LONGEST_ASKING_MS),
    });
    if (device) device.after = cookieOf(answered, 'orthokin.after') || device.after;
    if (answered.ok) return answered;
    const said = `${method} ${path}: ${answered.status} ${await answered.text()}`;
    throw answered.status < 500 ? new Refusal(said) : new Error(said);
  }
}
