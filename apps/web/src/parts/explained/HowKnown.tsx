import type { ReactElement } from 'react';
import type { Quantity } from '../../words/quantity.js';
import { say } from '../../words/parts.js';
import { Explained } from './Explained.js';

/** After a claim: pressing it explains what the claim rests on. */
export const HowKnown = ({ what }: { what: Quantity }): ReactElement => (
  <Explained what={what}>{say('howKnown')}</Explained>
);
