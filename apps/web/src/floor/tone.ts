const CUE_HZ = 880;
const LENGTH_S = 0.14;
const LEVEL = 0.5;
const RAMP_S = 0.006;

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

/** Plans the cue tone for a moment of the page's clock; the reply calls it off. */
export function planTone(pageMs: number): () => void {
  const audio = context;
  if (audio?.state !== 'running') return () => undefined;
  const start = Math.max(audio.currentTime, audioTime(audio, pageMs));
  const oscillator = new OscillatorNode(audio, { frequency: CUE_HZ });
  const level = new GainNode(audio, { gain: 0 });
  level.gain.setValueAtTime(0, start);
  level.gain.linearRampToValueAtTime(LEVEL, start + RAMP_S);
  level.gain.setValueAtTime(LEVEL, start + LENGTH_S - 4 * RAMP_S);
  level.gain.linearRampToValueAtTime(0, start + LENGTH_S);
  oscillator.connect(level).connect(audio.destination);
  oscillator.start(start);
  oscillator.stop(start + LENGTH_S);
  return () => oscillator.stop();
}
