import type { Rhythm } from '@orthokin/core/footwork';
import { rhythm as en } from './en/rhythm.js';
import { speaker } from './say.js';

const say = speaker(en);

/** The rhythm of a way out in one sentence: its intervals' ratio, and whether they quicken. */
export function rhythmSentence({ ratios, quickens }: Rhythm): string {
  if (ratios.length === 0) return say('oneStepOutHasNoRhythm');
  const ratio = ratios.map((share) => share.toFixed(2).replace(/\.?0+$/, '')).join(' : ');
  if (quickens === null) return say('rhythmOutRatio', { ratio });
  return say('rhythmOutRatioWhich', {
    ratio,
    which: quickens ? 'quickening' : say('notQuickening'),
  });
}
