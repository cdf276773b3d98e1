import type { ProgrammeFinding, Theme, WeekKind } from '@orthokin/core/plan';
import { dateWords } from './format.js';
import { speaker } from './say.js';
import { weeks as en } from './en/weeks.js';

export const say = speaker(en);

const THEME_WORDS: Readonly<Record<Theme, string>> = {
  test: say('test'),
  'one zone': say('one zone'),
  'another zone': say('another zone'),
  sequences: say('sequences'),
  'everything together': say('everything together'),
  other: say('other'),
};
/** What a week is about. */
export const themeWords = (theme: Theme): string => THEME_WORDS[theme];

const KIND_WORDS: Readonly<Record<WeekKind, string>> = {
  usual: say('usual'),
  lighter: say('lighter'),
  off: say('off'),
};
/** How much a week asks. */
export const weekKindWords = (kind: WeekKind): string => KIND_WORDS[kind];

/** A sentence about weeks that a coach may want to change. */
export function programmeWords(finding: ProgrammeFinding): string {
  switch (finding.finding) {
    case 'no test first':
      return say('noTestFirst');
    case 'no test last':
      return say('noTestLast');
    case 'tests differ': {
      const [first, last] = finding.days;
      return say('testsDiffer', { first: dateWords(first), last: dateWords(last) });
    }
    case 'trains while off':
      return say('trainsOff', { day: dateWords(finding.day) });
    case 'nothing in it':
      return say('nothingIn', { n: finding.place + 1 });
  }
}
