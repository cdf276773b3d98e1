import styled from 'styled-components';

/** Buttons beside each other; they wrap where it is narrow. */
export const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px;
  margin-top: 12px;
`;
