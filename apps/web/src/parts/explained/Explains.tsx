import type { ReactElement, ReactNode } from 'react';
import { Button, Dialog, DialogTrigger, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { colour } from '../tokens.js';

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

const How = styled(Popover)`
  max-width: min(380px, 92vw);
  max-height: 80vh;
  overflow: auto;
  padding: 14px 18px;
  border: 1.5px solid ${colour('ink')};
  border-radius: 5px;
  background: ${colour('raised')};
  color: ${colour('ink')};
  font-size: 16px;
  line-height: 1.45;
  section {
    outline: none;
  }
`;

/** Something that says how it came about when it is pressed. */
export const Explains = ({
  label,
  children,
  how,
}: {
  /** What the opened text is called. */
  label: string;
  /** What is pressed. */
  children: ReactNode;
  how: ReactNode;
}): ReactElement => (
  <DialogTrigger>
    <Pressed>{children}</Pressed>
    <How placement="top">
      <Dialog aria-label={label}>{how}</Dialog>
    </How>
  </DialogTrigger>
);
