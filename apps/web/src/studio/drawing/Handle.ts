import styled from 'styled-components';

/** What shows where keyboard focus is, and what is picked. */
export const Ring = styled.circle<{ $picked?: boolean }>`
  visibility: ${({ $picked = false }) => ($picked ? 'visible' : 'hidden')};
`;

/** A thing on the floor that can be taken and moved. */
export const Handle = styled.g`
  cursor: move;
  outline: none;
  &:focus-visible ${Ring} {
    visibility: visible;
  }
`;
