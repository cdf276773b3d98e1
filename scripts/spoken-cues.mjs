import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { ensureDebianPackages } from './lib/packages.mjs';
import { ROOT } from './lib/paths.mjs';
import { run, say } from './lib/say.mjs';

// Regenerates the spoken cues with Debian's espeak-ng. Only needed when a word is added: the clips are checked in,
// because the app has to speak without a network.
const WORDS = join(ROOT, 'apps/web/src/sound/spoken-words.json');
const VOICE = ['-v', 'en-gb+m3', '-s', '185', '-p', '42', '-a', '170'];
const FOLDER = join(ROOT, 'apps/web/public/spoken');
const RATE_HZ = 16_000;
const HEADER_BYTES = 44;
/** Samples below this (of 32,767) count as silence. */
const SILENCE = 400;
/** Silence kept before the first sound, so that its onset is not cut off. */
const LEAD_S = 0.005;
const TAIL_S = 0.04;

/** @param {Buffer} wav 16-bit mono @returns {{ rate: number, samples: Int16Array }} */
function read(wav) {
  const data = wav.subarray(HEADER_BYTES);
  const samples = new Int16Array(Math.floor(data.length / 2));
  for (let i = 0; i < samples.length; i++) samples[i] = data.readInt16LE(2 * i);
  return { rate: wav.readUInt32LE(24), samples };
}

/** Cuts off leading and trailing silence. @param {Int16Array} samples @param {number} rate */
function trimmed(samples, rate) {
  const loud = (/** @type {number} */ s) => Math.abs(s) > SILENCE;
  const first = samples.findIndex(loud);
  const last = samples.findLastIndex(loud);
  return samples.subarray(
    Math.max(0, first - Math.round(LEAD_S * rate)),
    Math.min(samples.length, last + Math.round(TAIL_S * rate)),
  );
}

/** Resamples linearly, which is good enough for speech. @param {Int16Array} samples @param {number} from */
function resampled(samples, from) {
  return Float32Array.from({ length: Math.floor((samples.length * RATE_HZ) / from) }, (_, i) => {
    const at = (i * from) / RATE_HZ;
    const before = samples[Math.floor(at)] ?? 0;
    const after = samples[Math.floor(at) + 1] ?? before;
    return (before + (after - before) * (at - Math.floor(at))) / 32_767;
  });
}

await run(async () => {
  ensureDebianPackages(['espeak-ng']);

  ensureBuilt();
  const { encodeWav } = await import('@orthokin/core/formats');
  rmSync(FOLDER, { recursive: true, force: true });
  mkdirSync(FOLDER, { recursive: true });
  const { letters, numbers, words: others } = JSON.parse(readFileSync(WORDS, 'utf8'));
  const count = Array.from({ length: numbers }, (_, i) => String(i + 1));
  const words = [...letters, ...count, ...others];
  for (const word of words) {
    const { rate, samples } = read(
      execFileSync('espeak-ng', [...VOICE, '--stdout', word], { maxBuffer: 2 ** 24 }),
    );
    const clip = resampled(trimmed(samples, rate), rate);
    writeFileSync(join(FOLDER, `${word.toLowerCase()}.wav`), encodeWav(clip, RATE_HZ));
  }
  say(`${words.length} spoken cues in ${FOLDER}`);
  return 0;
});
