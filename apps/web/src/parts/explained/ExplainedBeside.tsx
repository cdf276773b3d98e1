import type { ReactElement, ReactNode, RefObject } from 'react';
import { Dialog, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { colour } from '../tokens.js';

const Box = styled(Popover)`
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

/** The text that opens beside what was pressed. */
export const ExplainedBeside = ({
  trigger,
  label,
  onClose,
  children,
}: {
  trigger: RefObject<HTMLButtonElement | null>;
  label: string;
  onClose: () => void;
  children: ReactNode;
}): ReactElement => (
  <Box isOpen triggerRef={trigger} placement="top" onOpenChange={onClose}>
    <Dialog aria-label={label}>{children}</Dialog>
  </Box>
);
