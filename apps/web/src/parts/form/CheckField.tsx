import type { ReactElement } from 'react';
import { CheckboxButton, CheckboxField, type CheckboxFieldProps } from 'react-aria-components';
import styled from 'styled-components';
import { colour } from '../tokens.js';

const Box = styled(CheckboxButton)`
  display: flex;
  align-items: center;
  gap: 10px;
  cursor: pointer;
  &::before {
    content: '';
    flex: none;
    width: 22px;
    height: 22px;
    border: 1.5px solid ${colour('ink')};
    border-radius: 3px;
  }
  &[data-selected]::before {
    content: '✓';
    display: grid;
    place-items: center;
    font-weight: 800;
    background: ${colour('accent')};
    color: ${colour('onAccent')};
  }
  &[data-focus-visible] {
    outline: 3px solid ${colour('focus')};
    outline-offset: 4px;
  }
`;

/** A choice that is on or off. */
export const CheckField = ({
  children,
  ...props
}: Omit<CheckboxFieldProps, 'children'> & { children: string }): ReactElement => (
  <CheckboxField {...props}>
    <Box>{children}</Box>
  </CheckboxField>
);
