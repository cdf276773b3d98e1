import { planBuffer } from './audio.js';
import { recordedWords, recordingOf } from './recordings.js';
import shipped from './spoken-words.json' with { type: 'json' };
import { planDeviceVoice, voiceNow } from './voice.js';

/** What the clips are played at. */
const RATE_HZ = 48_000;
/** Between two words of one cue, s. */
export const WORD_GAP_S = 0.03;

const SHIPPED: ReadonlySet<string> = new Set([
  ...shipped.letters.toLowerCase(),
  ...Array.from({ length: shipped.numbers }, (_, i) => String(i + 1)),
  ...shipped.words,
]);

const shippedClips = new Map<string, AudioBuffer>();
const ownClips = new Map<string, AudioBuffer>();

const key = (word: string): string => word.toLowerCase();

/** Whether every one of these words can be said in the voice that is chosen. */
export function canSay(words: readonly string[]): boolean {
  const voice = voiceNow();
  if (words.length === 0 || voice === 'device') return words.length > 0;
  return words.every(
    (word) => SHIPPED.has(key(word)) || (voice === 'own' && ownClips.has(key(word))),
  );
}

/** Decodes before any sound has been allowed, too. */
export const decoder = (): BaseAudioContext => new OfflineAudioContext(1, 1, RATE_HZ);

const decoded = async (bytes: ArrayBuffer): Promise<AudioBuffer> =>
  decoder().decodeAudioData(bytes);

async function learnShipped(word: string): Promise<void> {
  if (shippedClips.has(word) || !SHIPPED.has(word)) return;
  const reply = await fetch(`/spoken/${word}.wav`);
  if (reply.ok) shippedClips.set(word, await decoded(await reply.arrayBuffer()));
}

/**
 * Reads the coach's own recordings, all of them: they are few, and any may be needed. Says which
 * words there are.
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
 * Fetches the clips of some words, so that each can be said to the millisecond. Without a network
 * those fetched before are there, and no others.
 */
export async function learnWords(words: readonly string[]): Promise<void> {
  if (voiceNow() === 'own' && ownClips.size === 0) await learnRecordings().catch(() => []);
  const wanted = [...new Set(words.map(key))];
  await Promise.all(wanted.map((word) => learnShipped(word).catch(() => undefined)));
}

/**
 * The clips of words already learnt; those that are not are left out. A voice of one's own fills
 * its gaps with the shipped one.
 */
export const clipsOf = (words: readonly string[]): AudioBuffer[] =>
  words.flatMap((word) => {
    const own = voiceNow() === 'own' ? ownClips.get(key(word)) : undefined;
    return own ?? shippedClips.get(key(word)) ?? [];
  });

/** Plans some words, one after the other, the first for a moment of the page's clock. */
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
