import { useEffect, useState } from 'react';
import { useRemembered } from '../device/useRemembered.js';
import { learnRecordings } from './spoken.js';
import { deviceVoice, speakWith, VOICE_CHOICE, type Voice } from './voice.js';

export interface VoiceKeeping {
  readonly voice: Voice;
  /** Whether the device has a speech voice. */
  readonly hasDeviceVoice: boolean;
  readonly recorded: readonly string[];
  readonly choose: (voice: Voice) => void;
  /** Call when recordings have changed. */
  readonly again: () => Promise<void>;
}

/** The voice used on this device; remembered. */
export function useVoice(): VoiceKeeping {
  const [voice, keep] = useRemembered<Voice>(VOICE_CHOICE, 'shipped');
  const [recorded, setRecorded] = useState<readonly string[]>([]);
  const [hasDeviceVoice, setHasDeviceVoice] = useState(deviceVoice() !== null);
  useEffect(() => {
    // Without storage there are no recordings, and the shipped voice is used.
    learnRecordings().then(setRecorded, () => undefined);
    if (!('speechSynthesis' in window)) return;
    const changed = () => setHasDeviceVoice(deviceVoice() !== null);
    speechSynthesis.addEventListener('voiceschanged', changed);
    return () => speechSynthesis.removeEventListener('voiceschanged', changed);
  }, []);
  const choose = (next: Voice) => {
    speakWith(next);
    keep(next);
  };
  return {
    voice,
    hasDeviceVoice,
    recorded,
    choose,
    again: () => learnRecordings().then(setRecorded),
  };
}
