import styled from 'styled-components';
import { MIDDLE } from './tokens.js';

/** Two columns, the first the wider; one below the other where there is no room. */
export const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(300px, 1fr);
  gap: 18px 36px;
  align-items: start;
  margin-top: 22px;
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
  }
`;
