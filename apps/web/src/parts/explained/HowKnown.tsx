import type { ReactElement } from 'react';
import type { Quantity } from '../../words/quantity.js';
import { say } from '../../words/parts.js';
import { Explained } from './Explained.js';

/** After a sentence: pressed, it says how what it claims is known. */
export const HowKnown = ({ what }: { what: Quantity }): ReactElement => (
  <Explained what={what}>{say('howKnown')}</Explained>
);
