import styled from 'styled-components';
import { colour, MONO } from '../../parts/tokens.js';

/** Courts, teams or pairs side by side, large enough to read and press from afar. */
export const Places = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(260px, 100%), 1fr));
  gap: 12px;
  section {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
    padding: 10px 16px;
    border-top: 5px solid ${colour('ink')};
    background: ${colour('raised')};
  }
  section button {
    min-height: 64px;
    padding: 6px 8px;
    white-space: normal;
    font-size: clamp(20px, 2.6vw, 38px);
  }
  section > span:not(.n) {
    font-size: clamp(17px, 2vw, 28px);
  }
  .large {
    display: grid;
    align-content: center;
    min-height: 64px;
    font-size: clamp(20px, 2.6vw, 38px);
  }
  .n {
    font: 750 clamp(40px, 6vw, 90px) / 1 ${MONO};
  }
`;
