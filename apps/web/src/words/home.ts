import { home as en } from './en/home.js';
import type { HomePracticeReply } from '@orthokin/contract';
import { dateWords } from './format.js';
import { speaker } from './say.js';

export const say = speaker(en);

/** What was practised on a day, in a line. */
export const practiceWords = ({
  day,
  minutes,
  effort,
  text,
}: Pick<HomePracticeReply, 'day' | 'minutes' | 'effort' | 'text'>): string =>
  [
    say('practiceOf', { day: dateWords(day), minutes }),
    effort === null ? '' : say('hardOf', { effort }),
    text,
  ]
    .filter((part) => part !== '')
    .join(', ');
