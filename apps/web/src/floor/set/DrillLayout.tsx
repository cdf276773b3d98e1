import styled from 'styled-components';
import { colour, MIDDLE, MONO, NARROW, WIDE } from '../../parts/tokens.js';

/** The places of the drill's screen: cue, side, foot. */
export const Screen = styled.main`
  position: fixed;
  inset: 0;
  z-index: 3;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(300px, 400px);
  grid-template-rows: auto minmax(0, 1fr) auto;
  grid-template-areas: 'head side' 'cue side' 'foot foot';
  gap: 0 28px;
  padding: 18px 26px;
  background: ${colour('paper')};
  color: ${colour('ink')};
  .cue {
    grid-area: cue;
    min-height: 0;
    padding: 10px 0 16px;
  }
  .side {
    grid-area: side;
    display: grid;
    grid-template-rows: minmax(0, 1fr) auto;
    gap: 16px;
    min-height: 0;
    padding-bottom: 14px;
  }
  .plan {
    min-height: 0;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: 1fr;
    grid-template-rows: auto minmax(0, 1.2fr) minmax(0, 1fr) auto;
    grid-template-areas: 'head' 'cue' 'side' 'foot';
    .side {
      grid-template: minmax(0, 1fr) / minmax(0, 1fr) minmax(0, 1fr);
    }
  }
  @media (max-width: ${NARROW}) {
    padding: 10px 14px;
    grid-template-rows: auto minmax(0, 1fr) auto auto;
    .side {
      display: block;
      padding-bottom: 8px;
    }
    .side .plan {
      display: none;
    }
  }
`;

export const Head = styled.div`
  grid-area: head;
  display: flex;
  align-items: center;
  gap: 16px;
  color: ${colour('quiet')};
  .count {
    font: 700 30px ${MONO};
    color: ${colour('quiet')};
    white-space: nowrap;
    margin-left: auto;
  }
  .count b {
    color: ${colour('ink')};
  }
  .pace {
    margin-left: auto;
    font-size: 17px;
    white-space: nowrap;
  }
  .pace ~ .count {
    margin-left: 0;
  }
  .pace b {
    font: 700 26px ${MONO};
    color: ${colour('ink')};
  }
  .large b {
    font-size: clamp(44px, 8vh, 72px);
    line-height: 1;
  }
`;

export const Foot = styled.div`
  grid-area: foot;
  padding-top: 14px;
  border-top: 1px solid ${colour('rule')};
  .row {
    display: grid;
    grid-template-columns: minmax(180px, 1fr) auto auto;
    align-items: center;
    gap: 12px 24px;
  }
  .says {
    display: flex;
    flex-wrap: wrap;
    gap: 0 22px;
  }
  .ribbon {
    max-width: 520px;
  }
  .controls {
    grid-column: -2;
    display: grid;
    grid-template-columns: repeat(4, minmax(72px, auto));
    gap: 8px;
  }
  .controls button {
    min-height: 60px;
    padding: 8px 9px;
    flex-direction: column;
    gap: 3px;
    font-size: 15px;
    border-color: ${colour('rule')};
  }
  .controls kbd {
    font: 450 14px ${MONO};
    color: ${colour('quiet')};
  }
  @media (max-width: ${WIDE}) {
    .controls {
      grid-template-columns: repeat(2, minmax(84px, auto));
    }
  }
  @media (max-width: ${MIDDLE}) {
    .row {
      grid-template-columns: minmax(0, 1fr);
    }
    .ribbon {
      max-width: none;
    }
    .controls {
      grid-template-columns: repeat(4, 1fr);
    }
  }
  @media (max-width: ${NARROW}) {
    .ribbon,
    .controls kbd {
      display: none;
    }
  }
`;
