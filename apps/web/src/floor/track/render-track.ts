import { encodeWav } from '@orthokin/core/formats';
import type { DrillPlan } from '../../drill/plan.js';
import { cueWords, wordsOfSet } from '../../drill/cue-words.js';
import { trackOf, type TrackSound } from '@orthokin/core/run';
import { beepOn } from '../../sound/audio.js';
import { clipsOf, learnWords, WORD_GAP_S } from '../../sound/spoken.js';
import { cueBeep } from '../../screens/sounds.js';

/** Enough for speech and tones, at half the size of CD quality. */
const RATE_HZ = 22_050;
/** Silence before the start tone, because players may cut the beginning. */
const LEAD_S = 0.5;

const START = { hz: 440, lengthS: 0.6, level: 0.6 };
const TICK = { hz: 520, lengthS: 0.09, level: 0.4 };

function schedule(audio: OfflineAudioContext, plan: DrillPlan, { atMs, what }: TrackSound): void {
  const at = LEAD_S + atMs / 1000;
  const say = (words: readonly string[]) => {
    let next = at;
    for (const buffer of clipsOf(words)) {
      const source = new AudioBufferSourceNode(audio, { buffer });
      source.connect(audio.destination);
      source.start(next);
      next += buffer.duration + WORD_GAP_S;
    }
  };
  switch (what.kind) {
    case 'start':
      beepOn(audio, START, at);
      break;
    case 'tick':
      beepOn(audio, TICK, at);
      break;
    case 'rest':
    case 'freeze':
      say([what.kind]);
      break;
    case 'cue':
    case 'switch': {
      // A track has no screen: the cue is spoken if a tone would not tell the target.
      const beep = cueBeep(plan, what.letter);
      if (beep) beepOn(audio, beep, at);
      else say(cueWords(plan, what.letter));
    }
  }
}

/** Renders a whole set's cues as a WAV file. */
export async function renderTrack(plan: DrillPlan): Promise<Uint8Array<ArrayBuffer>> {
  const spoken: DrillPlan = {
    ...plan,
    conditions: {
      ...plan.conditions,
      cueKinds:
        plan.conditions.cueKinds.includes('tone') && plan.conditions.cueKinds.length === 1
          ? ['tone']
          : [plan.conditions.cueKinds.includes('spoken colour') ? 'spoken colour' : 'spoken'],
    },
  };
  await learnWords(wordsOfSet(spoken));
  const { sounds, lengthMs } = trackOf(spoken);
  const length = Math.ceil((LEAD_S + lengthMs / 1000) * RATE_HZ);
  const audio = new OfflineAudioContext(1, length, RATE_HZ);
  for (const sound of sounds) schedule(audio, spoken, sound);
  const rendered = await audio.startRendering();
  return encodeWav(rendered.getChannelData(0), RATE_HZ);
}
