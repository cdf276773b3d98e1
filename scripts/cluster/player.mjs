import { randomBytes } from 'node:crypto';
import { setOf, squadWithSetups, wait } from '../lib/recording.mjs';
import { Refusal } from '../lib/say.mjs';

const ASK_AGAIN_MS = 150;
const LONGEST_ASKING_MS = 5000;

/** Devices of a club that record sets, each request again until it is acknowledged. */
export class Player {
  /** @type {Map<string, any>} reps that were acknowledged, as they were sent */
  acknowledged = new Map();
  /** @type {Set<string>} */
  sets = new Set();
  /** @type {number[]} moments of what was acknowledged */
  #moments = [];
  #cookie = '';
  #at = '';

  /** @param {string} address */
  constructor(address) {
    this.address = address;
  }

  /** The demo gets an owner, who signs in where all devices come in. @param {import('./machines.mjs').Machines} machines */
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
    player.#cookie = signedIn.headers.get('set-cookie')?.split(';')[0] ?? '';
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
      while (!isEnough()) {
        const set = setOf(ready[begun++ % ready.length]);
        await this.#untilAcknowledged(`sets/${set.id}`, set.body);
        this.sets.add(set.id);
        for (const { id, body } of set.reps) {
          await this.#untilAcknowledged(`sets/${set.id}/reps/${id}`, body);
          this.acknowledged.set(id, body);
          await wait(20);
        }
      }
    };
    await Promise.all(Array.from({ length: clients }, client));
  }

  /** The longest time since a moment in which nothing was acknowledged, ms. @param {number} since */
  longestPauseMs(since) {
    const moments = [since, ...this.#moments.filter((moment) => moment > since), Date.now()];
    return Math.max(...moments.slice(1).map((moment, i) => moment - (moments[i] ?? moment)));
  }

  /** @param {string} path @param {object} body */
  async #untilAcknowledged(path, body) {
    for (;;) {
      try {
        await this.#send('PUT', `${this.#at}/${path}`, body);
        this.#moments.push(Date.now());
        return;
      } catch (error) {
        if (error instanceof Refusal) throw error;
      }
      await wait(ASK_AGAIN_MS);
    }
  }

  /** @param {string} method @param {string} path @param {object} [body] */
  async #send(method, path, body) {
    const answered = await fetch(`${this.address}/api/${path}`, {
      method,
      headers: {
        ...(body && { 'Content-Type': 'application/json' }),
        ...(this.#cookie && { Cookie: this.#cookie }),
      },
      ...(body && { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(LONGEST_ASKING_MS),
    });
    if (answered.ok) return answered;
    const said = `${method} ${path}: ${answered.status} ${await answered.text()}`;
    throw answered.status < 500 ? new Refusal(said) : new Error(said);
  }
}
