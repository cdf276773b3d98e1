import styled from 'styled-components';
import { colour, MONO, NARROW } from '../../parts/tokens.js';

/** A board to be read from ten metres. */
export const BoardScreen = styled.main`
  position: fixed;
  inset: 0;
  z-index: 3;
  display: grid;
  grid-template-rows: auto 1fr auto;
  gap: 12px;
  padding: 20px 28px;
  overflow: auto;
  background: ${colour('paper')};
  color: ${colour('ink')};
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    justify-content: space-between;
    gap: 4px 28px;
  }
  header h1 {
    font-size: clamp(28px, 4.4vw, 60px);
    line-height: 1.05;
  }
  .clock {
    font: 750 clamp(44px, 8vw, 112px) / 1 ${MONO};
    font-variant-numeric: tabular-nums;
  }
  .clock[data-over] {
    color: ${colour('bad')};
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
  }
  .ways button,
  .ways a {
    min-height: 56px;
  }
  @media (max-width: ${NARROW}) {
    padding: 12px;
  }
`;

/** What is between a board's head and what can be pressed. */
export const BoardMiddle = styled.div`
  align-content: center;
  display: grid;
  gap: 12px;
  p {
    margin: 0;
  }
`;
