import type { LiveRole } from '@orthokin/contract';
import { screens as en } from './en/screens.js';
import { speaker } from './say.js';

/** What is said at screens. */
export const say = speaker(en);

const ROLE_WORDS: Readonly<Record<LiveRole, string>> = {
  drill: say('anotherDrill'),
  cues: say('showsCues'),
  caller: say('callsTargets'),
  panel: say('coachsPanel'),
  camera: say('filmsIt'),
  session: say('anotherSession'),
  board: say('showsBoard'),
  station: say('atAStation'),
  stations: say('coachsPanel'),
};

/** What a screen does in its room. */
export const screenWords = (role: LiveRole): string => ROLE_WORDS[role];
