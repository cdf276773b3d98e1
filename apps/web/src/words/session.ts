import type { SetOutcome } from '@orthokin/core/progress';
import type { LoadRise } from '@orthokin/core/plan';
import type { SessionNoteReply } from '@orthokin/contract';
import { listWords } from './format.js';
import { session as en } from './en/session.js';
import { speaker } from './say.js';

export const say = speaker(en);

/** How a set went, in a word. */
export function outcomeOf(outcome: SetOutcome): string {
  switch (outcome) {
    case 'passed':
      return say('setPassed');
    case 'not passed':
      return say('setFailed');
    case 'too close to call':
      return say('setOpen');
    case 'too few reps':
      return say('setFew');
  }
}

/** How hard a session was, from the least to the most that was said. */
export function effortWords(efforts: readonly (number | null)[]): string {
  const said = efforts.flatMap((effort) => effort ?? []);
  const [least, most] = [Math.min(...said), Math.max(...said)];
  if (said.length === 0) return say('hardnessUnknown');
  return least === most ? say('hardnessSame', { most }) : say('hardness', { least, most });
}

/** What a note says: the fault by its name, and the words. */
export const noteWords = (
  { fault, text }: Pick<SessionNoteReply, 'fault' | 'text'>,
  nameOf: (fault: NonNullable<SessionNoteReply['fault']>) => string,
): string => [fault && nameOf(fault), text.replace(/\.$/, '')].filter(Boolean).join(': ');

function figureWords({ figure, now, usual }: LoadRise): string {
  const counts = { now, usual: Math.round(usual) };
  switch (figure) {
    case 'effort':
      return say('figureEffort', counts);
    case 'splits':
      return say('figureSplits', counts);
    case 'lunges':
      return say('figureLunges', counts);
    case 'jumps':
      return say('figureJumps', counts);
  }
}

/** Whose week has jumped, each by what jumped most, with the caution that goes with it. */
export const riseWords = (
  people: readonly { readonly name: string; readonly rise: LoadRise }[],
): string =>
  say('loadUp', {
    people: listWords(
      people.map(({ name, rise }) => say('loadOf', { name, figure: figureWords(rise) })),
    ),
  });
