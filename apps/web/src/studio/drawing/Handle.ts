import styled from 'styled-components';

/** Shows keyboard focus and selection. */
export const Ring = styled.circle<{ $picked?: boolean }>`
  visibility: ${({ $picked = false }) => ($picked ? 'visible' : 'hidden')};
`;

/** Something on the floor that can be moved. */
export const Handle = styled.g`
  cursor: move;
  outline: none;
  &:focus-visible ${Ring} {
    visibility: visible;
  }
`;
