import styled from 'styled-components';

/** A few short fields and what is done with them, in a line while there is room. */
export const ShortFields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 210px));
  gap: 8px 14px;
  align-items: end;
  margin: 6px 0;
`;
