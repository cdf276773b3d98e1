import styled from 'styled-components';

/** A row of short fields and their buttons; wraps. */
export const ShortFields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 210px));
  gap: 8px 14px;
  align-items: end;
  margin: 6px 0;
`;
