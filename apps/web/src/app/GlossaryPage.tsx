import type { ReactElement } from 'react';
import styled from 'styled-components';
import { PrintPage } from '../parts/PrintPage.js';
import { colour } from '../parts/tokens.js';
import { QUANTITIES, say } from '../words/quantity.js';

const List = styled.dl`
  columns: 2 320px;
  column-gap: 10mm;
  margin: 6mm 0 0;
  font-size: 15px;
  line-height: 1.4;
  > div {
    break-inside: avoid;
    margin-bottom: 4mm;
    padding-top: 2mm;
    border-top: 1px solid ${colour('rule')};
  }
  dt {
    font-weight: 700;
    font-size: 17px;
  }
  dd {
    margin: 1mm 0 0;
  }
  .quiet {
    color: ${colour('quiet')};
  }
`;

/** Explains all quantities on one page, to read or to print. */
export function GlossaryPage(): ReactElement {
  return (
    <PrintPage name={say('everyFigure')} back="/review" backWords={say('backToReview')}>
      <h1>{say('everyFigure')}</h1>
      <p>{say('wordsOfTheFloor')}</p>
      <List>
        {Object.entries(QUANTITIES).map(([code, { name, means, how, sure }]) => (
          <div key={code} id={code}>
            <dt>{name}</dt>
            <dd>{means}</dd>
            <dd>{how}</dd>
            <dd className="quiet">{sure}</dd>
          </div>
        ))}
      </List>
    </PrintPage>
  );
}
