import { ArrowLeft, Printer } from 'lucide-react';
import type { ReactElement, ReactNode } from 'react';
import styled from 'styled-components';
import { Button, ButtonLink } from './Button.js';
import { Page } from './Text.js';
import { colour } from './tokens.js';
import { say } from '../words/parts.js';

const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  margin-bottom: 22px;
`;

/** A sheet of paper: always light, and printed without the app's frame. */
const Paper = styled.div`
  color: var(--ink);
  background: var(--paper);
  @media screen {
    max-width: 210mm;
    padding: 10mm;
    background: ${colour('sheet')};
    border: 1px solid var(--rule);
  }
  @media print {
    background: ${colour('sheet')};
  }
  h1 {
    margin: 0;
    font-size: 26px;
    line-height: 1.2;
  }
`;

/** A page made to be printed, with the ways to print it and back. */
export const PrintPage = ({
  name,
  back,
  backWords,
  ways,
  before,
  children,
}: {
  name: string;
  back: string;
  backWords: string;
  /** Further actions besides printing. */
  ways?: ReactNode;
  /** Shown before the sheet on screen, but not printed. */
  before?: ReactNode;
  children: ReactNode;
}): ReactElement => (
  <Page name={name}>
    <Ways className="no-print">
      <ButtonLink to={back}>
        <ArrowLeft size={18} aria-hidden /> {backWords}
      </ButtonLink>
      <Button weight="main" onPress={() => window.print()}>
        <Printer size={18} aria-hidden /> {say('print')}
      </Button>
      {ways}
    </Ways>
    {before}
    <Paper data-theme="light">{children}</Paper>
  </Page>
);
