import { lazy, Suspense, useRef, useState, type ReactElement, type ReactNode } from 'react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { colour } from '../tokens.js';

/** A page has many figures, few are ever pressed: what opens comes when one is. */
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

/** Something that says how it came about when it is pressed. */
export function Explains({
  label,
  children,
  how,
}: {
  /** What the opened text is called. */
  label: string;
  /** What is pressed. */
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
