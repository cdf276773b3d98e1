import { KEEP_YEARS, type PrivateMatter, type TrailDeed } from '@orthokin/core/people';
import { privacy as en } from './en/privacy.js';
import { speaker } from './say.js';

/** What is said of what is kept of people, and who sees it. */
export const say = speaker(en);

/** What somebody did with something private. */
export function deedWords(deed: TrailDeed, matter: PrivateMatter): string {
  const saw = deed === 'saw';
  switch (matter) {
    case 'particulars':
      return say(saw ? 'sawParticulars' : 'changedParticulars');
    case 'care':
      return say(saw ? 'sawCare' : 'changedCare');
    case 'times':
      return say(saw ? 'sawTimes' : 'changedTimes');
    case 'everything':
      return say(saw ? 'sawEverything' : 'changedEverything');
  }
}

const [FEWEST, MOST] = KEEP_YEARS;

/** Years to keep people for; 0 for no reminder. */
export const KEEP_OPTIONS = [
  ['0', say('forEver')] as const,
  ...Array.from({ length: MOST - FEWEST + 1 }, (_, i) => {
    const years = FEWEST + i;
    return [String(years), say('years', { years })] as const;
  }),
];
