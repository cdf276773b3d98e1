import { lazy, Suspense, useRef, useState, type ReactElement, type ReactNode } from 'react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { colour } from '../tokens.js';

/** Loaded on demand: a page has many figures, and few are ever pressed. */
const ExplainedBeside = lazy(async () => ({
  default: (await import('./ExplainedBeside.js')).ExplainedBeside,
}));

const Pressed = styled(Button)`
  min-height: 24px;
  padding: 4px 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: inherit;
  cursor: pointer;
  text-decoration: underline dotted ${colour('quiet')};
  text-underline-offset: 4px;
`;

/** Something that explains itself when pressed. */
export function Explains({
  label,
  children,
  how,
}: {
  /** Accessible name of the explanation. */
  label: string;
  /** The thing to press. */
  children: ReactNode;
  how: ReactNode;
}): ReactElement {
  const [open, setOpen] = useState(false);
  const trigger = useRef<HTMLButtonElement>(null);
  return (
    <>
      <Pressed
        ref={trigger}
        aria-haspopup="dialog"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
      >
        {children}
      </Pressed>
      {open && (
        <Suspense fallback={null}>
          <ExplainedBeside trigger={trigger} label={label} onClose={() => setOpen(false)}>
            {how}
          </ExplainedBeside>
        </Suspense>
      )}
    </>
  );
}
