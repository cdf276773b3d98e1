import styled from 'styled-components';
import { Quiet } from '../../parts/Text.js';
import { colour, MIDDLE, NARROW } from '../../parts/tokens.js';

/** The places of the set-up: the words and choices beside the drawn floor. */
export const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(320px, 470px);
  gap: 36px;
  align-items: start;
  .plan {
    position: sticky;
    top: 20px;
    max-height: 640px;
  }
  .plan svg {
    max-height: 640px;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
    .plan {
      position: static;
    }
    .plan svg {
      max-height: 420px;
    }
  }
`;

export const Notes = styled.div`
  max-width: 60ch;
  margin: 8px 0 16px;
  p {
    margin: 4px 0 0;
  }
`;

export const Chips = styled.div`
  display: grid;
  gap: 10px;
  margin-bottom: 16px;
`;

export const What = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
`;

export const Before = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 12px;
  margin-top: 12px;
`;

/** Stays within reach of a thumb whatever is unfolded above, and comes last on the page. */
export const StartRow = styled.div`
  position: sticky;
  bottom: 0;
  z-index: 1;
  padding: 12px 0;
  background: ${colour('paper')};
  > button {
    min-height: 64px;
    padding-inline: 34px;
    font-size: 21px;
  }
  @media (max-width: ${NARROW}) {
    padding: 8px 0;
    > button {
      width: 100%;
    }
  }
`;

export const Care = styled(Quiet)`
  margin-top: 14px;
  font-size: 16px;
  max-width: 62ch;
`;
