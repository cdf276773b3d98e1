import styled from 'styled-components';
import { MIDDLE } from '../../parts/tokens.js';

/** What is said on the left, the floor on the right; above each other where it is narrow. */
export const BesideFloor = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(320px, 560px);
  gap: 36px;
  align-items: start;
  p,
  ul {
    margin: 0;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

export const Said = styled.div`
  display: grid;
  gap: 16px;
  max-width: 58ch;
`;

/** What can be done next, large enough for a thumb. */
export const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  margin-top: 8px;
  > * {
    min-height: 60px;
    font-size: 18px;
  }
`;

export const Plan = styled.div`
  svg {
    max-height: 640px;
  }
  @media (max-width: ${MIDDLE}) {
    svg {
      max-height: 480px;
    }
  }
`;
