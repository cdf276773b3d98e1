import { encodeWav } from '@orthokin/core/formats';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { say } from '../words/sound.js';
import { trimmed } from './trim.js';

interface Schema extends DBSchema {
  words: { key: string; value: Blob };
}

/** A database of its own: losing a recording must never affect a rep. */
const open = (): Promise<IDBPDatabase<Schema>> =>
  openDB<Schema>('orthokin-voice', 1, {
    upgrade: (db) => void db.createObjectStore('words'),
  });

/** The words recorded on this device; throws if the browser cannot store any. */
export const recordedWords = async (): Promise<string[]> => (await open()).getAllKeys('words');

export const recordingOf = async (word: string): Promise<Blob | undefined> =>
  (await open()).get('words', word);

export const dropRecording = async (word: string): Promise<void> =>
  (await open()).delete('words', word);

/** The longest a word may take, ms. */
export const RECORD_MS = 1600;

async function listen(): Promise<Blob> {
  if (!('mediaDevices' in navigator)) throw new Error(say('noMicrophoneOverPlainHttp'));
  const stream = await navigator.mediaDevices.getUserMedia({ audio: true });
  try {
    const recorder = new MediaRecorder(stream);
    const parts: Blob[] = [];
    recorder.addEventListener('dataavailable', ({ data }) => parts.push(data));
    const stopped = new Promise((done) => recorder.addEventListener('stop', done, { once: true }));
    recorder.start();
    setTimeout(() => recorder.stop(), RECORD_MS);
    await stopped;
    return new Blob(parts, { type: recorder.mimeType });
  } finally {
    stream.getTracks().forEach((track) => track.stop());
  }
}

/**
 * Records a word through the microphone, trims the silence and stores it.
 * @throws an Error with a sentence for the coach if there is no microphone, it is not allowed, or nothing was heard
 */
export async function recordWord(word: string, audio: BaseAudioContext): Promise<void> {
  const heard = await listen().catch((error: unknown) => {
    const isDenied = error instanceof DOMException && error.name === 'NotAllowedError';
    throw isDenied ? new Error(say('microphoneNotAllowed')) : error;
  });
  const buffer = await audio.decodeAudioData(await heard.arrayBuffer());
  const cut = trimmed(buffer.getChannelData(0), buffer.sampleRate);
  if (!cut) throw new Error(say('nothingHeardFor', { word }));
  const file = new Blob([encodeWav(cut, buffer.sampleRate)], { type: 'audio/wav' });
  await (await open()).put('words', file, word);
}
