import type { Verdict } from '@orthokin/core/timing';
import { say } from '../words/parts.js';
import type { ThemeColour } from './tokens.js';

/** The look and name of a verdict on a rep; the glyph alone carries the meaning. */
export const VERDICT_LOOK: Readonly<
  Record<Verdict, { readonly glyph: string; readonly ink: ThemeColour; readonly words: string }>
> = {
  pass: { glyph: '', ink: 'ink', words: say('inside') },
  fail: { glyph: '×', ink: 'bad', words: say('over') },
  'too close to call': { glyph: '≈', ink: 'quiet', words: say('tooClose') },
};
