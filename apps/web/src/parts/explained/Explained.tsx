import { lazy, Suspense, type ReactElement } from 'react';
import type { Quantity } from '../../words/quantity.js';
import { Explains } from './Explains.js';

/** Loaded on demand: there are many texts, and few are ever opened. */
const Explanation = lazy(async () => ({
  default: (await import('./Explanation.js')).Explanation,
}));

/** A quantity's name; pressing it explains meaning, calculation and uncertainty. */
export const Explained = ({
  what,
  children,
}: {
  what: Quantity;
  children: string;
}): ReactElement => (
  <Explains
    label={children}
    how={
      <Suspense fallback={null}>
        <Explanation of={what} />
      </Suspense>
    }
  >
    {children}
  </Explains>
);
