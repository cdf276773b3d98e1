import styled from 'styled-components';

/** Fields beside each other, as many as fit, their boxes in line. */
export const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(165px, 1fr));
  gap: 12px 16px;
  align-items: end;
  .wide {
    grid-column: 1 / -1;
  }
`;
