import {
  isCatching,
  type CatchForm,
  type GameForm,
  type GameWay,
  type HeldBlock,
} from '@orthokin/core/plan';
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

const FORM_WORDS: Readonly<Record<GameForm, string>> = {
  courts: say('formCourts'),
  teams: say('formTeams'),
  'drop and catch': say('formDrop'),
  'turn on a call': say('formTurn'),
  'off a wall': say('formWall'),
};
/** How a game is played. */
export const formWords = (form: GameForm): string => FORM_WORDS[form];

const CATCH_WORDS: Readonly<Record<CatchForm, string>> = {
  'drop and catch': say('dropHow'),
  'turn on a call': say('turnHow'),
  'off a wall': say('wallHow'),
};
/** What is done in a game of catching. */
export const catchWords = (form: CatchForm): string => CATCH_WORDS[form];

/** How much each reached in a block, as a line. */
export const reachedWords = (
  people: readonly { readonly name: string; readonly count: number }[],
  { game, wanted }: Pick<HeldBlock, 'game' | 'wanted'>,
): string =>
  commaList(
    people.map((one) => {
      if (game && isCatching(game)) return say('reachedCm', one);
      return wanted ? say('reachedOf', { ...one, wanted }) : say('reached', one);
    }),
  );
