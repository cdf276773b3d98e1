let context: AudioContext | null = null;

/** Must be called from a press: browsers keep sound off until then. */
export async function allowSound(): Promise<void> {
  context ??= new AudioContext({ latencyHint: 'interactive' });
  await context.resume();
}

/** The audio clock's time of a moment of the page's clock. */
function audioTime(audio: AudioContext, pageMs: number): number {
  const { contextTime = 0, performanceTime = 0 } = audio.getOutputTimestamp();
  // Before the first sound has come out there is no pair of times to go by.
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

/** Puts a beep on an audio's own clock, in seconds. */
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

/** Plans a beep for a moment of the page's clock; the reply calls it off. */
export function planBeep(beep: Beep, pageMs: number): () => void {
  const audio = context;
  if (audio?.state !== 'running') return () => undefined;
  const oscillator = beepOn(audio, beep, Math.max(audio.currentTime, audioTime(audio, pageMs)));
  return () => oscillator.stop();
}

/** Plans a recorded sound for a moment of the page's clock; the reply calls it off. */
export function planBuffer(buffer: AudioBuffer, pageMs: number): () => void {
  const audio = context;
  if (audio?.state !== 'running') return () => undefined;
  const source = new AudioBufferSourceNode(audio, { buffer });
  source.connect(audio.destination);
  source.start(Math.max(audio.currentTime, audioTime(audio, pageMs)));
  return () => source.stop();
}
