import type { ReactElement, ReactNode } from 'react';

/** The phases of a repetition, which have one colour, hatch and glyph each throughout the app. */
export const PHASES = [
  'stance',
  'split',
  'reaction',
  'travel',
  'load',
  'action',
  'recovery',
  'ready margin',
] as const;
export type Phase = (typeof PHASES)[number];

export const PHASE_COLOURS: Readonly<Record<Phase, string>> = {
  stance: '#5F6C7B',
  split: '#C58A00',
  reaction: '#9B3F78',
  travel: '#2F6DB5',
  load: '#0C8587',
  action: '#5A4A9C',
  recovery: '#C9502E',
  'ready margin': '#7F9E78',
};

const light = { stroke: '#fff', strokeOpacity: 0.5, fill: 'none' } as const;

/** The colour of a duration that is a single phase; `other` for durations that span several. */
export const durationInk = (
  duration: 'reaction' | 'response' | 'travel' | 'recovery' | 'cycle',
  ink: string,
): string => (duration === 'response' || duration === 'cycle' ? ink : PHASE_COLOURS[duration]);

/** The hatch of each phase on an 8 × 8 tile; with colour taken away they still differ. */
const HATCHES: Readonly<Record<Phase, ReactNode>> = {
  stance: null,
  split: <path d="M-2 10 10 -2 M-2 2 2 -2 M6 10 10 6" strokeWidth={1.5} {...light} />,
  reaction: (
    <g fill="#fff" fillOpacity={0.55}>
      <circle cx={2} cy={2} r={1} />
      <circle cx={6} cy={6} r={1} />
    </g>
  ),
  travel: <path d="M1 0 5 4 1 8" strokeWidth={1.3} {...light} />,
  load: <path d="M0 2H8M0 6H8" strokeWidth={1.2} {...light} />,
  action: <path d="M0 4H8M4 0V8" strokeWidth={1.1} {...light} />,
  recovery: <path d="M7 0 3 4 7 8" strokeWidth={1.3} {...light} />,
  'ready margin': <path d="M-2 -2 10 10 M-2 6 2 10 M6 -2 10 2" strokeWidth={1.3} {...light} />,
};

const TILE = 8;
const hatchId = (phase: Phase) => `hatch-${phase.replace(' ', '-')}`;

/** The fill of a phase in any SVG on a page that holds `PhaseDefs`. */
export const phaseFill = (phase: Phase): string => `url(#${hatchId(phase)})`;

export const PHASE_DEFS_ID = 'phase-defs';

/** The phases' hatched fills; once a page. */
export const PhaseDefs = (): ReactElement => (
  <svg id={PHASE_DEFS_ID} width={0} height={0} aria-hidden style={{ position: 'absolute' }}>
    <defs>
      {PHASES.map((phase) => (
        <pattern
          key={phase}
          id={hatchId(phase)}
          width={TILE}
          height={TILE}
          patternUnits="userSpaceOnUse"
        >
          <rect width={TILE} height={TILE} fill={PHASE_COLOURS[phase]} />
          {HATCHES[phase]}
        </pattern>
      ))}
    </defs>
  </svg>
);

/** A small swatch of a phase, for legends and tables. */
export const PhaseSwatch = ({ phase }: { phase: Phase }): ReactElement => (
  <svg width={18} height={14} aria-hidden style={{ verticalAlign: '-1px' }}>
    <rect width={18} height={14} rx={2} fill={phaseFill(phase)} />
  </svg>
);
