import { useEffect, type ReactElement, type ReactNode } from 'react';
import { createPortal } from 'react-dom';

/** Covers the page, which then can be neither focused nor read out. */
export function InsteadOfPage({ children }: { children: ReactNode }): ReactElement {
  useEffect(() => {
    const page = document.getElementById('root');
    page?.setAttribute('inert', '');
    return () => page?.removeAttribute('inert');
  }, []);
  return createPortal(children, document.body);
}
