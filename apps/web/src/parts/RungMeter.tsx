import type { ReactElement } from 'react';
import { colour } from './tokens.js';
import { say } from '../words/parts.js';

const STEP = 7;

/** A place on a ladder: one bar per rung, filled up to the current one. */
export const RungMeter = ({ rung, of }: { rung: number; of: number }): ReactElement => (
  <svg
    width={of * STEP}
    height={14}
    role="img"
    aria-label={say('rungRung', { rung, of })}
    style={{ verticalAlign: '-2px', marginRight: 4 }}
  >
    {Array.from({ length: of }, (_, i) => (
      <rect
        key={i}
        x={i * STEP}
        y={11 - (i * 9) / Math.max(1, of - 1)}
        width={STEP - 2}
        height={14}
        fill={colour(i < rung ? 'ink' : 'rule')}
      />
    ))}
  </svg>
);
