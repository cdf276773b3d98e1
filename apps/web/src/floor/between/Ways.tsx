import styled from 'styled-components';

/** Next steps, side by side. */
export const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
`;
