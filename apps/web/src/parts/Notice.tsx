import { CircleAlert } from 'lucide-react';
import type { ReactElement, ReactNode } from 'react';
import styled from 'styled-components';
import { Button } from './Button.js';
import { colour } from './tokens.js';
import { say } from '../words/parts.js';

const Box = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px 16px;
  padding: 14px 16px;
  border: 1.5px solid ${colour('rule')};
  border-left: 5px solid ${colour('bad')};
  background: ${colour('raised')};
  p {
    margin: 0;
    flex: 1 1 260px;
  }
  svg {
    flex: none;
    color: ${colour('bad')};
  }
`;

/** Something the person should know or mend, with what can be done about it. */
export const Notice = ({
  children,
  action,
}: {
  children: ReactNode;
  action?: ReactNode;
}): ReactElement => (
  <Box role="status">
    <CircleAlert aria-hidden />
    <p>{children}</p>
    {action}
  </Box>
);

/** Says that loading failed, with a button to try again. */
export const Failed = ({ error, again }: { error: Error; again: () => void }): ReactElement => (
  <Notice action={<Button onPress={again}>{say('tryAgain')}</Button>}>{error.message}</Notice>
);
