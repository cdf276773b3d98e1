import { Button as AriaButton, type ButtonProps } from 'react-aria-components';
import { Link } from 'react-router';
import styled, { css } from 'styled-components';
import { colour, FONT } from './tokens.js';

export type Weight = 'main' | 'plain';

const look = css<{ $weight?: Weight }>`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 9px;
  min-height: 46px;
  padding: 9px 18px;
  border: 1.5px solid ${colour('accent')};
  border-radius: 4px;
  font: 650 16px/1.2 ${FONT};
  text-decoration: none;
  white-space: nowrap;
  cursor: pointer;
  color: ${({ $weight }) => colour($weight === 'main' ? 'onAccent' : 'ink')};
  background: ${({ $weight }) => ($weight === 'main' ? colour('accent') : 'transparent')};
  &:hover {
    box-shadow: inset 0 0 0 2px ${colour('quiet')};
  }
  &[data-disabled] {
    opacity: 0.5;
    cursor: default;
  }
`;

const Styled = styled(AriaButton)<{ $weight?: Weight }>`
  ${look}
`;

/** A button whose words say what happens. */
export const Button = ({ weight = 'plain', ...props }: ButtonProps & { weight?: Weight }) => (
  <Styled $weight={weight} {...props} />
);

/** A link to another page that looks like a button. */
export const ButtonLink = styled(Link)<{ $weight?: Weight }>`
  ${look}
`;

export const ButtonAnchor = styled.a<{ $weight?: Weight }>`
  ${look}
`;
