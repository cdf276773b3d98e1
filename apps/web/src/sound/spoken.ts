import { planBuffer } from './audio.js';
import { recordedWords, recordingOf } from './recordings.js';
import shipped from './spoken-words.json' with { type: 'json' };
import { planDeviceVoice, voiceNow } from './voice.js';

/** Sample rate of the clips. */
const RATE_HZ = 48_000;
/** Pause between two words of a cue, s. */
export const WORD_GAP_S = 0.03;

const SHIPPED: ReadonlySet<string> = new Set([
  ...shipped.letters.toLowerCase(),
  ...Array.from({ length: shipped.numbers }, (_, i) => String(i + 1)),
  ...shipped.words,
]);

const shippedClips = new Map<string, AudioBuffer>();
const ownClips = new Map<string, AudioBuffer>();

const key = (word: string): string => word.toLowerCase();

/** Whether the chosen voice can say all of these words. */
export function canSay(words: readonly string[]): boolean {
  const voice = voiceNow();
  if (words.length === 0 || voice === 'device') return words.length > 0;
  return words.every(
    (word) => SHIPPED.has(key(word)) || (voice === 'own' && ownClips.has(key(word))),
  );
}

/** Can decode before the browser allows sound. */
export const decoder = (): BaseAudioContext => new OfflineAudioContext(1, 1, RATE_HZ);

const decoded = async (bytes: ArrayBuffer): Promise<AudioBuffer> =>
  decoder().decodeAudioData(bytes);

async function learnShipped(word: string): Promise<void> {
  if (shippedClips.has(word) || !SHIPPED.has(word)) return;
  const reply = await fetch(`/spoken/${word}.wav`);
  if (reply.ok) shippedClips.set(word, await decoded(await reply.arrayBuffer()));
}

/**
 * Loads all of the coach's own recordings; they are few, and any may be needed.
 * @returns the recorded words
 */
export async function learnRecordings(): Promise<string[]> {
  const words = await recordedWords();
  ownClips.clear();
  for (const word of words) {
    const file = await recordingOf(word);
    if (file) ownClips.set(key(word), await decoded(await file.arrayBuffer()));
  }
  return words;
}

/**
 * Loads the clips of some words, so that each can be played at an exact time. Offline only those loaded before are
 * available.
 */
export async function learnWords(words: readonly string[]): Promise<void> {
  if (voiceNow() === 'own' && ownClips.size === 0) await learnRecordings().catch(() => []);
  const wanted = [...new Set(words.map(key))];
  await Promise.all(wanted.map((word) => learnShipped(word).catch(() => undefined)));
}

/**
 * Loaded clips of some words; words that are not loaded are left out. The coach's own recordings are complemented by
 * the shipped voice.
 */
export const clipsOf = (words: readonly string[]): AudioBuffer[] =>
  words.flatMap((word) => {
    const own = voiceNow() === 'own' ? ownClips.get(key(word)) : undefined;
    return own ?? shippedClips.get(key(word)) ?? [];
  });

/** Schedules words one after another, the first at a page time. */
export function planWords(words: readonly string[], pageMs: number): () => void {
  if (voiceNow() === 'device') return planDeviceVoice(words, pageMs);
  let at = pageMs;
  const cancels = clipsOf(words).map((clip) => {
    const cancel = planBuffer(clip, at);
    at += 1000 * (clip.duration + WORD_GAP_S);
    return cancel;
  });
  return () => cancels.forEach((cancel) => cancel());
}
