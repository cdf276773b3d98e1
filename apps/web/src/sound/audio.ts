let context: AudioContext | null = null;

/** Must be called in a press: browsers block sound until then. */
export async function allowSound(): Promise<void> {
  context ??= new AudioContext({ latencyHint: 'interactive' });
  await context.resume();
}

/** Converts page ms to the audio clock's seconds. */
function audioTime(audio: AudioContext, pageMs: number): number {
  const { contextTime = 0, performanceTime = 0 } = audio.getOutputTimestamp();
  // Until the first sound has been played there is no pair of times to convert by.
  if (performanceTime === 0) return audio.currentTime + (pageMs - performance.now()) / 1000;
  return contextTime + (pageMs - performanceTime) / 1000;
}

export interface Beep {
  readonly hz: number;
  readonly lengthS: number;
  readonly level: number;
  /** −1 left to 1 right. */
  readonly pan?: number;
}

const RAMP_S = 0.006;

/** Schedules a beep, in seconds of the audio's own clock. */
export function beepOn(
  audio: BaseAudioContext,
  { hz, lengthS, level, pan = 0 }: Beep,
  start: number,
): OscillatorNode {
  const oscillator = new OscillatorNode(audio, { frequency: hz });
  const gain = new GainNode(audio, { gain: 0 });
  gain.gain.setValueAtTime(0, start);
  gain.gain.linearRampToValueAtTime(level, start + RAMP_S);
  gain.gain.setValueAtTime(level, start + lengthS - 4 * RAMP_S);
  gain.gain.linearRampToValueAtTime(0, start + lengthS);
  oscillator.connect(gain).connect(new StereoPannerNode(audio, { pan })).connect(audio.destination);
  oscillator.start(start);
  oscillator.stop(start + lengthS);
  return oscillator;
}

/**
 * Schedules a beep at a page time.
 * @returns cancels it
 */
export function planBeep(beep: Beep, pageMs: number): () => void {
  const audio = context;
  if (audio?.state !== 'running') return () => undefined;
  const oscillator = beepOn(audio, beep, Math.max(audio.currentTime, audioTime(audio, pageMs)));
  return () => oscillator.stop();
}

/**
 * Schedules a recorded sound at a page time.
 * @returns cancels it
 */
export function planBuffer(buffer: AudioBuffer, pageMs: number): () => void {
  const audio = context;
  if (audio?.state !== 'running') return () => undefined;
  const source = new AudioBufferSourceNode(audio, { buffer });
  source.connect(audio.destination);
  source.start(Math.max(audio.currentTime, audioTime(audio, pageMs)));
  return () => source.stop();
}
