import { spawn } from 'node:child_process';
import { GrowingPause } from './growing-pause.mjs';
import { reasonOf, say } from './say.mjs';

/** A server that has served this long did not die of the same cause as the one before. */
const SETTLED_MS = 60_000;

/** @param {number | null} code @param {NodeJS.Signals | null} signal */
const whyDead = (code, signal) =>
  signal === 'SIGABRT' || code === 134
    ? 'it had no memory left'
    : signal
      ? `it was ended by ${signal}`
      : `it ended with status ${code}; what it said is above`;

/**
 * Runs the server until we are told to stop. One that dies while it serves is brought back, each time
 * after a longer pause; one that never began says why and is not tried again.
 * @param {object} what
 * @param {string} what.main the server's file
 * @param {() => Promise<NodeJS.ProcessEnv>} what.surroundings what it is given, and that it needs, made ready
 * @param {(server: import('node:child_process').ChildProcess) => void} what.onStarted
 * @param {() => void} what.onServing each time it listens
 * @param {(line: string) => void} [what.tell]
 * @returns {Promise<number>} its exit status
 */
export async function keepServing({ main, surroundings, onStarted, onServing, tell = say }) {
  let stopping = false;
  let hasServed = false;
  const pause = new GrowingPause();
  /** @type {import('node:child_process').ChildProcess | null} */
  let server = null;
  let wake = () => undefined;
  const stop = () => {
    stopping = true;
    server?.kill('SIGTERM');
    wake();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
  for (;;) {
    const began = Date.now();
    let why = '';
    try {
      const own = spawn(process.execPath, [main], {
        env: { ...process.env, ...(await surroundings()) },
        // The IPC channel tells the server when this process is gone, however it ended.
        stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
      });
      server = own;
      onStarted(own);
      own.on('message', (message) => {
        if (message !== 'listening') return;
        hasServed = true;
        onServing();
      });
      const [code, signal] = await new Promise((done) => own.on('exit', (...how) => done(how)));
      if (stopping) return 0;
      if (!hasServed) return code ?? 1;
      why = `The server died: ${whyDead(code, signal)}. It is started again`;
    } catch (error) {
      // It may be possible later: when the database's disk has room again, say.
      if (!hasServed) throw error;
      why = `The server cannot be started: ${reasonOf(error)} It is tried again`;
    }
    if (Date.now() - began > SETTLED_MS) pause.reset();
    const ms = pause.next();
    tell(`\n${why} in ${ms / 1000} s; what was stored is there.`);
    await new Promise((done) => {
      const timer = setTimeout(done, ms);
      wake = () => {
        clearTimeout(timer);
        done(undefined);
      };
    });
    if (stopping) return 0;
  }
}
