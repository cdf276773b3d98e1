import type { ReactElement } from 'react';

/** A right shoe's sole pointing up, 1 high, about its middle. */
const RIGHT_SOLE =
  'M.02-.5C.15-.5.2-.36.19-.2.18-.06.12.0.13.12.14.27.17.5.01.5-.13.5-.14.3-.13.14-.12.02-.2-.06-.2-.22-.2-.39-.12-.5.02-.5Z';

/** A drawn shoe's length, m. */
export const SHOE_M = 0.3;

/** One foot on the floor: left outlined, right filled. Length in the SVG's units. */
export const Sole = ({
  foot,
  x,
  y,
  headingDeg,
  length,
  ink = 'var(--ink)',
}: {
  foot: 'left' | 'right';
  x: number;
  y: number;
  headingDeg: number;
  length: number;
  /** Colour of the outline, and of the right foot's fill. */
  ink?: string;
}): ReactElement => (
  <path
    d={RIGHT_SOLE}
    transform={`translate(${x} ${y}) rotate(${headingDeg}) scale(${foot === 'left' ? -length : length} ${length})`}
    fill={foot === 'left' ? 'var(--raised)' : ink}
    stroke={ink}
    strokeWidth={0.09}
    strokeLinejoin="round"
  />
);
