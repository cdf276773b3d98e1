import type { GameWay } from '@orthokin/core/plan';
import { commaList } from './format.js';
import { game as en } from './en/game.js';
import { speaker } from './say.js';

export const say = speaker(en);

const WAY_WORDS: Readonly<Record<GameWay, string>> = {
  'up a court, down a court': say('up a court, down a court'),
  'winner stays': say('winner stays'),
};
/** How pairs change from round to round. */
export const wayWords = (way: GameWay): string => WAY_WORDS[way];

/** How much each reached, as a line. */
export const reachedWords = (
  people: readonly { readonly name: string; readonly count: number }[],
): string => commaList(people.map((one) => say('reached', one)));
