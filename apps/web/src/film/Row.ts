import styled from 'styled-components';

/** Buttons side by side; wraps on narrow screens. */
export const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px;
  margin-top: 12px;
`;
