import { ChevronRight } from 'lucide-react';
import type { ReactElement, ReactNode } from 'react';
import { Button, Disclosure, DisclosurePanel, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { colour } from '../../parts/tokens.js';

const Fold = styled(Disclosure)`
  border-top: 1px solid ${colour('rule')};
  h3 {
    margin: 0;
    font-size: inherit;
  }
  h3 > button {
    display: flex;
    align-items: baseline;
    gap: 8px;
    width: 100%;
    min-height: 52px;
    padding: 12px 0;
    border: 0;
    background: none;
    color: ${colour('ink')};
    font: 650 17px inherit;
    font-family: inherit;
    text-align: left;
    white-space: nowrap;
    cursor: pointer;
  }
  h3 svg {
    flex: none;
    align-self: center;
    transition: transform 120ms;
  }
  &[data-expanded] h3 svg {
    transform: rotate(90deg);
  }
  h3 span {
    font-weight: 450;
    font-size: 16px;
    white-space: normal;
    color: ${colour('quiet')};
  }
  .inside {
    display: grid;
    gap: 16px;
    padding: 4px 0 22px;
  }
`;

/** A foldable part of the set-up, whose heading says its current choice. */
export const Choice = ({
  title,
  says,
  children,
}: {
  title: string;
  says: string;
  children: ReactNode;
}): ReactElement => (
  <Fold>
    <Heading level={3}>
      <Button slot="trigger">
        <ChevronRight size={18} aria-hidden />
        {title} <span>{says}</span>
      </Button>
    </Heading>
    <DisclosurePanel>
      <div className="inside">{children}</div>
    </DisclosurePanel>
  </Fold>
);
