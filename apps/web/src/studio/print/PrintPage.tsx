import { ArrowLeft, Download, Printer } from 'lucide-react';
import type { ReactElement, ReactNode } from 'react';
import styled from 'styled-components';
import { Button, ButtonLink } from '../../parts/Button.js';
import { Page } from '../../parts/Text.js';
import { downloadDrawings } from '../drawing/export-drawing.js';

const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-bottom: 22px;
`;

/** A sheet of paper: always with lights on, without the shell when it is printed. */
const Paper = styled.div`
  color: var(--ink);
  background: var(--paper);
  @media screen {
    max-width: 210mm;
    padding: 10mm;
    background: #fff;
    border: 1px solid var(--rule);
  }
  @media print {
    background: #fff;
  }
  h1 {
    margin: 0;
    font-size: 26px;
    line-height: 1.2;
  }
`;

export const PrintPage = ({
  back,
  name,
  children,
}: {
  back: string;
  /** Of the files its drawing is saved as. */
  name: string;
  children: ReactNode;
}): ReactElement => (
  <Page>
    <Ways className="no-print">
      <ButtonLink to={back}>
        <ArrowLeft size={18} aria-hidden /> Back to the pattern
      </ButtonLink>
      <Button weight="main" onPress={() => window.print()}>
        <Printer size={18} aria-hidden /> Print
      </Button>
      {(['svg', 'png'] as const).map((kind) => (
        <Button key={kind} onPress={() => void downloadDrawings('#sheet-plan svg', name, kind)}>
          <Download size={18} aria-hidden /> Plan as {kind.toUpperCase()}
        </Button>
      ))}
    </Ways>
    <Paper data-theme="light">{children}</Paper>
  </Page>
);
