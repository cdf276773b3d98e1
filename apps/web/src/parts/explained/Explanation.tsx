import type { ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { QUANTITIES, say, type Quantity } from '../../words/quantity.js';
import { colour } from '../tokens.js';

const Parts = styled.div`
  h3 {
    margin: 0 0 6px;
    font-size: 18px;
  }
  p {
    margin: 0 0 10px;
  }
  strong {
    display: block;
    font-size: 15px;
    font-weight: 450;
    color: ${colour('quiet')};
  }
`;

/** What a quantity means, how it is worked out and how sure it is. */
export function Explanation({ of }: { of: Quantity }): ReactElement {
  const { name, means, how, sure } = QUANTITIES[of];
  return (
    <Parts>
      <h3>{name}</h3>
      <p>
        <strong>{say('means')}</strong>
        {means}
      </p>
      <p>
        <strong>{say('how')}</strong>
        {how}
      </p>
      <p>
        <strong>{say('sure')}</strong>
        {sure}
      </p>
      <Link to="/words">{say('glossary')}</Link>
    </Parts>
  );
}
