import { remembered } from '../device/preferences.js';

export const VOICES = ['shipped', 'own', 'device'] as const;
/** Who speaks: the clips that ship with the app, the coach's own recordings, or the device. */
export type Voice = (typeof VOICES)[number];

/** The voice is this device's, not the set's: each screen of a drill speaks with its own. */
export const VOICE_CHOICE = 'voice';

/**
 * How surely a device's own voice begins when it is asked to. It says when it began, but not when
 * the sound left the speaker: half of a usual start-up, taken wide.
 */
export const DEVICE_VOICE_SD_MS = 80;

let current: Voice = remembered<Voice>(VOICE_CHOICE, 'shipped');

export const speakWith = (voice: Voice): void => void (current = voice);
export const voiceNow = (): Voice => (current === 'device' && !deviceVoice() ? 'shipped' : current);

/** A voice the device has by itself, offline; `null` where there is none. */
export function deviceVoice(): SpeechSynthesisVoice | null {
  if (!('speechSynthesis' in window)) return null;
  const voices = speechSynthesis.getVoices().filter(({ localService }) => localService);
  return voices.find(({ lang }) => lang.startsWith('en')) ?? voices[0] ?? null;
}

/** Has the device say some words at a moment of the page's clock; the reply calls it off. */
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
