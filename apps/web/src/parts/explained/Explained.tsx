import { lazy, Suspense, type ReactElement } from 'react';
import type { Quantity } from '../../words/quantity.js';
import { Explains } from './Explains.js';

/** The texts are many, and few are ever opened: they come when one is. */
const Explanation = lazy(async () => ({
  default: (await import('./Explanation.js')).Explanation,
}));

/** The name of a quantity; pressed, it says what that means, how it is worked out, how sure it is. */
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
