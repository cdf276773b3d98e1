import styled from 'styled-components';

/** Fields beside each other, as many as fit, their boxes in line. */
export const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(176px, 1fr));
  gap: 12px 16px;
  align-items: end;
`;

/** A field as wide as all of them. */
export const WideField = styled.div`
  grid-column: 1 / -1;
`;
