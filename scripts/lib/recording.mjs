import { v7 } from 'uuid';
import { Refusal } from './say.mjs';

const REPS = 8;

/** A pseudo-random generator of numbers from 0 to 1 (mulberry32). @param {number} seed */
export const randomOf = (seed) => () => {
  seed = (seed + 0x6d2b79f5) | 0;
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};

/** @param {number} ms @returns {Promise<void>} */
export const wait = (ms) => new Promise((done) => setTimeout(done, ms));

/**
 * Who is in a squad, with what each would run now.
 * @typedef {{ line: any, setup: any }} Ready
 * @param {(path: string) => Promise<any>} get what the server answers
 * @param {string} at the club's own path
 * @returns {Promise<Ready[]>}
 */
export async function squadWithSetups(get, at) {
  const squad = await get(`${at}/squad`);
  return Promise.all(
    squad.map(async (/** @type {any} */ line) => ({
      line,
      setup: await get(`${at}/athletes/${line.athlete.id}/drill-setup`),
    })),
  );
}

/** A set as a device sends it, from its start to its last rep. @param {Ready | undefined} ready */
export function setOf(ready) {
  if (!ready) throw new Refusal('Nobody is in the squad.');
  const { line, setup } = ready;
  const at = new Date().toISOString();
  const targets = setup.pattern.rungs.find(
    (/** @type {any} */ rung) => rung.number === line.rung,
  ).targets;
  const cues = Array.from({ length: REPS }, (_, i) => ({
    ...{ ordinal: i + 1, target: targets[i % targets.length], foreperiodMs: 1000 },
  }));
  const shares = { catchShare: 0, switchShare: 0, freezeShare: 0, switchAfterMs: 120 };
  return {
    id: v7(),
    body: {
      ...{ athleteId: line.athlete.id, patternId: line.patternId, rung: line.rung },
      ...{ patternVersion: setup.pattern.version, source: 'hand', startedAt: at, seed: 1 },
      ...{ day: at.slice(0, 10), falseStartMs: 100, responseLimitMs: 3000, cues },
      conditions: {
        ...{ order: 'shuffled', maxRun: 2, ...shares, freezeAt: 'load', late: null, varyM: 0 },
        foreperiod: { kind: 'uniform', leastMs: 900, mostMs: 1900 },
        ...{ pace: { kind: 'self', everyMs: null }, cueKinds: ['tone'] },
        ...{ homeRule: 'home zone', watched: [], workMs: null },
      },
    },
    reps: cues.map(({ ordinal, target }) => ({
      id: v7(),
      body: {
        ...{ ordinal, target, seenFaults: [], struckOut: false, replaces: null },
        events: ['cue', 'firstMove', 'action', 'home'].map((name, i) => ({
          ...{ name, atMs: 5000 * ordinal + 400 * i, sdMs: 45, source: 'hand' },
        })),
      },
    })),
  };
}
