import type { ReactElement } from 'react';

/** A right shoe's sole pointing up, 1 high, about its middle. */
const RIGHT_SOLE =
  'M.02-.5C.15-.5.2-.36.19-.2.18-.06.12.0.13.12.14.27.17.5.01.5-.13.5-.14.3-.13.14-.12.02-.2-.06-.2-.22-.2-.39-.12-.5.02-.5Z';

/** One foot on the floor: left outlined, right filled. Length in the SVG's units, y up. */
export const Sole = ({
  foot,
  x,
  y,
  headingDeg,
  length,
}: {
  foot: 'left' | 'right';
  x: number;
  y: number;
  headingDeg: number;
  length: number;
}): ReactElement => (
  <path
    d={RIGHT_SOLE}
    transform={`translate(${x} ${y}) rotate(${headingDeg}) scale(${foot === 'left' ? -length : length} ${length})`}
    fill={foot === 'left' ? 'var(--raised)' : 'var(--ink)'}
    stroke="var(--ink)"
    strokeWidth={0.09}
    strokeLinejoin="round"
  />
);
