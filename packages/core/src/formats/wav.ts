const HEADER_BYTES = 44;
const BYTES_A_SAMPLE = 2;
const FULL_SCALE = 32_767;

/**
 * A mono WAV file (RIFF, 16-bit PCM). `samples` from −1 to 1, beyond which they are cut;
 * `rateHz` samples a second.
 */
export function encodeWav(samples: ArrayLike<number>, rateHz: number): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(HEADER_BYTES + BYTES_A_SAMPLE * samples.length);
  const view = new DataView(bytes.buffer);
  const text = (at: number, letters: string) =>
    [...letters].forEach((letter, i) => view.setUint8(at + i, letter.charCodeAt(0)));
  text(0, 'RIFF');
  view.setUint32(4, bytes.length - 8, true);
  text(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rateHz, true);
  view.setUint32(28, rateHz * BYTES_A_SAMPLE, true);
  view.setUint16(32, BYTES_A_SAMPLE, true);
  view.setUint16(34, 8 * BYTES_A_SAMPLE, true);
  text(36, 'data');
  view.setUint32(40, BYTES_A_SAMPLE * samples.length, true);
  for (let i = 0; i < samples.length; i++) {
    const sample = Math.max(-1, Math.min(1, samples[i] ?? 0));
    view.setInt16(HEADER_BYTES + BYTES_A_SAMPLE * i, Math.round(sample * FULL_SCALE), true);
  }
  return bytes;
}
