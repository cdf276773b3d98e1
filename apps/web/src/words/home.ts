import { home as en } from './en/home.js';
import type { HomePracticeReply } from '@orthokin/contract';
import { selfChecked, type SelfCheck } from '@orthokin/core/plan';
import { dateWords, semicolonList } from './format.js';
import { speaker } from './say.js';

export const say = speaker(en);

/** What was practised on a day, in a line. */
export const practiceWords = ({
  day,
  minutes,
  effort,
  text,
  checks,
}: Pick<HomePracticeReply, 'day' | 'minutes' | 'effort' | 'text' | 'checks'>): string =>
  [
    say('practiceOf', { day: dateWords(day), minutes }),
    effort === null ? '' : say('hardOf', { effort }),
    checkedWords(checks ?? []),
    text,
  ]
    .filter((part) => part !== '')
    .join(', ');

/** How many questions held, and which did not; nothing where none was asked. */
function checkedWords(checks: readonly SelfCheck[]): string {
  const checked = selfChecked(checks);
  if (!checked) return '';
  const { held, asked, missed } = checked;
  return say('checkedOf', { held, asked, missed: missed.length, which: semicolonList(missed) });
}
