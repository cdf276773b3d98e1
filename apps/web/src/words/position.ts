import type { PositionName } from '@orthokin/core/pattern';
import { position as en } from './en/position.js';
import { speaker } from './say.js';

const say = speaker(en);

export const POSITION_WORDS: Readonly<Record<PositionName, string>> = {
  stance: say('stance'),
  split: say('splitStep'),
  load: say('load'),
  action: say('action'),
  recovery: say('recovery'),
};
