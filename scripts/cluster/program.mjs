import { spawn } from 'node:child_process';
import { openSync } from 'node:fs';
import { serverUser } from '../lib/cluster.mjs';

/** A program with its output in a file; runs until it is killed. */
export class Program {
  /** @type {import('node:child_process').ChildProcess | null} */
  #process = null;
  #begin;

  /**
   * @param {string} file what it says
   * @param {string} command
   * @param {string[]} args
   * @param {NodeJS.ProcessEnv} env
   * @param {{ asRoot?: boolean }} [options] gives root up by itself
   */
  constructor(file, command, args, env, { asRoot = false } = {}) {
    this.#begin = () => {
      const out = openSync(file, 'a');
      return spawn(command, args, {
        ...{ cwd: '/', stdio: ['ignore', out, out] },
        env: { PATH: process.env['PATH'], LC_ALL: 'C.UTF-8', ...env },
        ...(asRoot ? {} : serverUser()),
      });
    };
  }

  start() {
    this.#process = this.#begin();
  }

  /** @param {NodeJS.Signals} [signal] @returns {Promise<void>} when it has gone */
  async kill(signal = 'SIGKILL') {
    const child = this.#process;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((done) => child.once('exit', done));
    child.kill(signal);
    await gone;
  }
}
