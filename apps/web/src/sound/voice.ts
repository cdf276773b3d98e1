import { remembered } from '../device/preferences.js';

export const VOICES = ['shipped', 'own', 'device'] as const;
/** A voice for cues: the shipped clips, the coach's recordings, or the device's own speech. */
export type Voice = (typeof VOICES)[number];

/** Key of the voice choice, which belongs to the device and not to the set: each screen speaks with its own. */
export const VOICE_CHOICE = 'voice';

/**
 * Standard deviation of when the device's own speech becomes audible. It reports when it began, not when sound left
 * the loudspeaker; this is half of a usual start-up time, rounded up.
 */
export const DEVICE_VOICE_SD_MS = 80;

let current: Voice = remembered<Voice>(VOICE_CHOICE, 'shipped');

export const speakWith = (voice: Voice): void => void (current = voice);
export const voiceNow = (): Voice => (current === 'device' && !deviceVoice() ? 'shipped' : current);

/** A speech voice that works offline; `null` if there is none. */
export function deviceVoice(): SpeechSynthesisVoice | null {
  if (!('speechSynthesis' in window)) return null;
  const voices = speechSynthesis.getVoices().filter(({ localService }) => localService);
  return voices.find(({ lang }) => lang.startsWith('en')) ?? voices[0] ?? null;
}

/**
 * Schedules words in the device's own voice at a page time.
 * @returns cancels them
 */
export function planDeviceVoice(words: readonly string[], pageMs: number): () => void {
  const utterance = new SpeechSynthesisUtterance(words.join(' ').toLowerCase());
  utterance.voice = deviceVoice();
  const timer = setTimeout(
    () => speechSynthesis.speak(utterance),
    Math.max(0, pageMs - performance.now()),
  );
  return () => {
    clearTimeout(timer);
    speechSynthesis.cancel();
  };
}
