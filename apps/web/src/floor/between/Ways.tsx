import styled from 'styled-components';

/** What can be done next, beside each other. */
export const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
`;
