import type { ComponentProps, ReactElement } from 'react';
import styled from 'styled-components';
import { colour, MONO, NARROW } from './tokens.js';
import { say } from '../words/parts.js';

/** The headline of a page, which answers its question in one sentence. */
export const Headline = styled.h1`
  margin: 0;
  font-size: 30px;
  line-height: 1.15;
  font-weight: 750;
  text-wrap: balance;
  @media (max-width: ${NARROW}) {
    font-size: 25px;
  }
`;

export const Heading = styled.h2`
  margin: 0 0 8px;
  font-size: 17px;
  font-weight: 650;
`;

export const Quiet = styled.p`
  margin: 0;
  color: ${colour('quiet')};
`;

export const Time = styled.span`
  font-family: ${MONO};
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
`;

/** For a screen reader only. */
export const Unseen = styled.span`
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
  white-space: nowrap;
`;

/** The page's margins. */
export const PageEdge = styled.main`
  padding: 26px 28px 48px;
  max-width: 1360px;
  margin: 0 auto;
  @media (max-width: ${NARROW}) {
    padding: 18px 16px 40px;
  }
`;

/** A page with its title, also as the window's title. */
export const Page = ({
  name,
  ...props
}: ComponentProps<typeof PageEdge> & { name: string }): ReactElement => (
  <>
    <title>{say('nameOrthokin', { name })}</title>
    <PageEdge {...props} />
  </>
);
