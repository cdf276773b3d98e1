import styled, { css } from 'styled-components';
import { colour } from '../../parts/tokens.js';

const smallButton = css`
  && {
    min-height: 40px;
    padding: 6px 11px;
    font-size: 15px;
  }
`;

/** One subject of the floor's panel. */
export const Part = styled.section`
  padding: 12px 0 16px;
  border-top: 1px solid ${colour('rule')};
  &:first-child {
    border-top: 0;
    padding-top: 0;
  }
`;

/** Fields of a part, three beside each other unless said otherwise. */
export const Row = styled.div<{ $columns?: string }>`
  display: grid;
  grid-template-columns: ${({ $columns = 'repeat(3, minmax(0, 1fr))' }) => $columns};
  gap: 8px 10px;
  align-items: end;
  & + & {
    margin-top: 8px;
  }
  > button {
    ${smallButton}
  }
`;

/** What can be done with a part. */
export const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 10px;
  button {
    ${smallButton}
  }
`;
