import pg from 'pg';
import { randomOf, wait } from '../lib/recording.mjs';
import { say } from '../lib/say.mjs';
import { Machines, until } from './machines.mjs';
import { Player } from './player.mjs';

const CLIENTS = 6;
/** How long a machine stays off, or a link stays cut. */
const AWAY_MS = 20_000;
const LONGEST_PAUSE_MS = 120_000;

/** @typedef {{ what: string, begin: () => Promise<unknown>, end: () => Promise<unknown> }} Trouble */

/** What can happen, each for as long as a machine is away. @param {Machines} machines @returns {Trouble[]} */
function troublesOf(machines) {
  /** @type {import('./machines.mjs').Member | null} */
  let member = null;
  let server = 0;
  return [
    {
      what: 'the leading database is switched off',
      begin: async () => (member = await machines.leader())?.kill(),
      end: async () => member?.comeBack(),
    },
    {
      what: 'a server is killed',
      begin: async () => machines.servers[server]?.kill(),
      end: async () => machines.servers[server]?.start(),
    },
    {
      what: 'the cable of the leading database is pulled',
      begin: async () => (member = await machines.leader())?.cut(),
      end: async () => member?.mend(),
    },
    {
      what: 'a standby is switched off',
      begin: async () => (member = await machines.standby())?.kill(),
      end: async () => member?.comeBack(),
    },
    {
      what: 'a server is asked to stop',
      begin: async () => machines.servers[(server = 1)]?.kill('SIGTERM'),
      end: async () => machines.servers[server]?.start(),
    },
    {
      what: 'the cable between a server and the databases is pulled',
      begin: async () => machines.wires[0]?.forEach((wire) => wire.cut()),
      end: async () => machines.wires[0]?.forEach((wire) => wire.mend()),
    },
  ];
}

/**
 * Causes troubles one after another, each until it is over and everything is healthy again.
 * @param {Machines} machines @param {Player} player @param {number} count @param {() => number} random
 */
async function trouble(machines, player, count, random) {
  const kinds = troublesOf(machines);
  for (let n = 0; n < count; n++) {
    await wait(1000 + 3000 * random());
    const kind = kinds[n % kinds.length];
    if (!kind) return;
    const began = Date.now();
    await kind.begin();
    await wait(AWAY_MS);
    await kind.end();
    await until(() => machines.isWell(), 'All machines well again', LONGEST_PAUSE_MS);
    say(
      `${kind.what}: for ${(player.longestPauseMs(began) / 1000).toFixed(1)} s nothing could be written; all well after ${((Date.now() - began) / 1000).toFixed(0)} s`,
    );
  }
}

/** @param {Machines} machines @param {Player} player */
async function compare(machines, player) {
  const database = new pg.Client({ connectionString: machines.databaseUrl });
  await database.connect();
  const { rows } = await database.query(
    `select id, count(*) over (partition by id) as times, ordinal, target, events
     from rep where set_id = any ($1::uuid[])`,
    [[...player.sets]],
  );
  await database.end();
  const stored = new Map(rows.map((row) => [row.id, row]));
  const lost = [...player.acknowledged.keys()].filter((id) => !stored.has(id));
  const doubled = rows.filter(({ times }) => Number(times) !== 1);
  const changed = [...player.acknowledged].filter(([id, body]) => {
    const row = stored.get(id);
    const isSame =
      row?.ordinal === body.ordinal &&
      row?.target === body.target &&
      JSON.stringify(eventsOf(row.events)) === JSON.stringify(eventsOf(body.events));
    return row && !isSame;
  });
  say(
    `${player.acknowledged.size} reps of ${player.sets.size} sets acknowledged: ${lost.length} lost, ${doubled.length} doubled, ${changed.length} changed`,
  );
  const { all, near, behind } = player.reads;
  say(
    `${all} times a set was read by whoever had just recorded it, ${near} times from a standby: ${behind} times without all that was acknowledged`,
  );
  return lost.length + doubled.length + changed.length + behind === 0;
}

/** @param {any[]} events */
const eventsOf = (events) =>
  events.map(({ name, atMs, sdMs, source }) => [name, Number(atMs), Number(sdMs), source]);

/**
 * Records sets during troubles, and compares.
 * @param {{ sets: number, troubles: number, seed: number, keep: boolean }} asked
 * @returns whether all that was acknowledged is stored as it was sent
 */
export async function playThrough({ sets, troubles, seed, keep }) {
  const machines = new Machines();
  try {
    const began = Date.now();
    await machines.start();
    say(
      `Three databases, two servers and haproxy: up after ${Math.round((Date.now() - began) / 1000)} s`,
    );
    const player = await Player.signIn(machines);
    let isOver = false;
    const playing = player.play(CLIENTS, () => isOver && player.sets.size >= sets);
    await trouble(machines, player, troubles, randomOf(seed));
    isOver = true;
    await playing;
    const isTrue = await compare(machines, player);
    if (keep) {
      say(`It stays up at ${machines.address}; Ctrl-C ends it.`);
      await new Promise((done) => process.once('SIGINT', done));
    }
    return isTrue;
  } finally {
    await machines.stop();
  }
}
