import styled, { css } from 'styled-components';
import { colour, LOW, MIDDLE, MONO, NARROW } from '../../parts/tokens.js';

/** The areas of the drill's screen: cue, side, foot. */
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
  /* A set that stands still says more than a cue does: what it says takes the room it needs. */
  &[data-still] {
    overflow: auto;
    grid-template-rows: auto minmax(min-content, 1fr) auto;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: 1fr;
    grid-template-rows: auto minmax(0, 1.2fr) minmax(0, 1fr) auto;
    grid-template-areas: 'head' 'cue' 'side' 'foot';
    &[data-still] {
      grid-template-rows: auto minmax(min-content, 1.2fr) minmax(0, 1fr) auto;
    }
  }
  @media (max-width: ${NARROW}) {
    padding: 10px 14px;
    grid-template-rows: auto minmax(0, 1fr) auto auto;
    &[data-still] {
      grid-template-rows: auto minmax(min-content, 1fr) min-content auto;
    }
  }
  @media ${LOW} {
    gap: 0 14px;
    padding: 6px 12px;
    overflow: auto;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    grid-template-rows: auto minmax(min-content, 1fr);
    grid-template-areas: 'head head' 'cue foot';
    &[data-still] {
      grid-template-columns: minmax(0, 1fr);
      grid-template-rows: auto minmax(min-content, 1fr);
      grid-template-areas: 'head' 'cue';
    }
  }
  @media ${LOW} and (max-width: 560px) {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(min-content, 1fr) auto;
    grid-template-areas: 'head' 'cue' 'foot';
  }
`;

export const CuePlace = styled.div`
  grid-area: cue;
  min-height: 0;
  padding: 10px 0 16px;
  @media ${LOW} {
    /* However small the window, a cue fills half of its shorter side. */
    min-height: calc(50vmin + 34px);
    padding: 4px 0;
  }
`;

export const Side = styled.div`
  grid-area: side;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  gap: 16px;
  min-height: 0;
  padding-bottom: 14px;
  @media (max-width: ${MIDDLE}) {
    grid-template: minmax(0, 1fr) / minmax(0, 1fr) minmax(0, 1fr);
  }
  @media (max-width: ${NARROW}) {
    display: block;
    padding-bottom: 8px;
  }
  @media ${LOW} {
    display: none;
  }
`;

export const FloorPlace = styled.div`
  min-height: 0;
  @media (max-width: ${NARROW}) {
    display: none;
  }
`;

export const Head = styled.div`
  grid-area: head;
  display: flex;
  align-items: center;
  gap: 16px;
  color: ${colour('quiet')};
  @media ${LOW} {
    > span:first-child {
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
  }
`;

/** A staircase's current pace; hidden when a count needs its place. */
export const Pace = styled.span`
  margin-left: auto;
  font-size: 17px;
  white-space: nowrap;
  b {
    font: 700 26px ${MONO};
    color: ${colour('ink')};
  }
`;

/** Progress of the set: cues, or in large figures seconds. */
export const Count = styled.span<{ $large?: boolean }>`
  margin-left: auto;
  font: 700 30px ${MONO};
  color: ${colour('quiet')};
  white-space: nowrap;
  b {
    color: ${colour('ink')};
    ${({ $large = false }) =>
      $large &&
      css`
        font-size: clamp(44px, 8vh, 72px);
        line-height: 1;
      `}
  }
  em {
    margin-left: 10px;
    font: 650 22px ${MONO};
    color: ${colour('ink')};
  }
  ${Pace} ~ & {
    margin-left: 0;
  }
`;

export const Foot = styled.div`
  grid-area: foot;
  padding-top: 14px;
  border-top: 1px solid ${colour('rule')};
  @media ${LOW} {
    align-self: end;
    padding-top: 6px;
    border-top: 0;
    /* What stands still has its own ways on: these would cover them. */
    [data-still] > & {
      display: none;
    }
  }
`;

/** The coach's reports about a rep: calls, faults, marks. */
export const SaidOfRep = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0 22px;
`;

/** The rep as it grows, the timing keys, and what can be done to the set. */
export const FootRow = styled.div`
  display: grid;
  grid-template-columns: minmax(180px, 1fr) auto auto;
  align-items: center;
  gap: 12px 24px;
  @media (max-width: ${MIDDLE}), ${LOW} {
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
  }
`;

export const RibbonPlace = styled.div`
  max-width: 520px;
  @media ${LOW} {
    display: none;
  }
  @media (max-width: ${MIDDLE}) {
    max-width: none;
  }
  @media (max-width: ${NARROW}) {
    display: none;
  }
`;
