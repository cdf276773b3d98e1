import type { MayAsk } from '@orthokin/contract/routes';
import type { ReactElement, ReactNode } from 'react';
import { Link } from 'react-router';
import { useMay } from './me.js';

interface Props {
  /** What is sent by whoever uses it, or goes there. */
  readonly asks: { readonly may: MayAsk };
  readonly children: ReactNode;
}

/** What is there only for whoever may do it: others are not offered what would be refused them. */
export const ForWhom = ({ asks, children }: Props): ReactNode => useMay(asks) && children;

/** A way to a page, for whoever may read it; the same words without a way for others. */
export function MayLink({ asks, to, children }: Props & { to: string }): ReactElement {
  return useMay(asks) ? <Link to={to}>{children}</Link> : <>{children}</>;
}
