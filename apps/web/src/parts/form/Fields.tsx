import styled from 'styled-components';

/** A grid of fields, as many in a row as fit. */
export const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(176px, 1fr));
  gap: 12px 16px;
  align-items: end;
`;

/** A field across the whole grid. */
export const WideField = styled.div`
  grid-column: 1 / -1;
`;
