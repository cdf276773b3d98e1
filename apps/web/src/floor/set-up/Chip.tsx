import { ChevronDown } from 'lucide-react';
import type { ReactElement, ReactNode } from 'react';
import { Button, Disclosure, DisclosurePanel, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { colour } from '../../parts/tokens.js';

const Box = styled(Disclosure)`
  border: 1.5px solid ${colour('rule')};
  border-radius: 6px;
  background: ${colour('raised')};
  h2 {
    margin: 0;
    font-size: inherit;
  }
  h2 > button {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: center;
    gap: 0 12px;
    width: 100%;
    min-height: 68px;
    padding: 10px 16px;
    border: 0;
    border-radius: 6px;
    background: none;
    color: ${colour('ink')};
    font: inherit;
    text-align: left;
    cursor: pointer;
  }
  small {
    display: block;
    font-size: 15px;
    font-weight: 450;
    color: ${colour('quiet')};
  }
  strong {
    font-size: 19px;
    font-weight: 650;
    line-height: 1.25;
  }
  h2 svg {
    transition: transform 120ms;
  }
  &[data-expanded] h2 svg {
    transform: rotate(180deg);
  }
  .inside {
    display: grid;
    gap: 18px;
    padding: 6px 16px 18px;
  }
`;

/** One of the set-up's three decisions, in words; pressing it opens its choices. */
export const Chip = ({
  title,
  says,
  isOpen,
  onOpen,
  children,
}: {
  title: string;
  says: string;
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
  children: ReactNode;
}): ReactElement => (
  <Box isExpanded={isOpen} onExpandedChange={onOpen}>
    <Heading level={2}>
      <Button slot="trigger">
        <span>
          <small>{title}</small>
          <strong>{says}</strong>
        </span>
        <ChevronDown size={22} aria-hidden />
      </Button>
    </Heading>
    <DisclosurePanel>
      <div className="inside">{children}</div>
    </DisclosurePanel>
  </Box>
);
