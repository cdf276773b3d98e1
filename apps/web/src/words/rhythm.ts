import type { Rhythm } from '@orthokin/core/footwork';

/** The rhythm of a way out in one sentence: its intervals' ratio, and whether they quicken. */
export function rhythmSentence({ ratios, quickens }: Rhythm): string {
  if (ratios.length === 0) return 'One step out has no rhythm.';
  const ratio = ratios.map((share) => share.toFixed(2).replace(/\.?0+$/, '')).join(' : ');
  if (quickens === null) return `Rhythm out: ${ratio}.`;
  return `Rhythm out: ${ratio}, ${quickens ? 'quickening' : 'not quickening'}.`;
}
