import styled from 'styled-components';
import { colour } from '../../parts/tokens.js';

/** One subject of the floor's panel. */
export const Part = styled.section`
  padding: 12px 0 16px;
  border-top: 1px solid ${colour('rule')};
  &:first-child {
    border-top: 0;
    padding-top: 0;
  }
  .row {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 8px 10px;
    align-items: end;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 10px;
  }
  .ways button,
  .row > button {
    min-height: 40px;
    padding: 6px 11px;
    font-size: 15px;
  }
`;
