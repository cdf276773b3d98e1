import { feetAt, pathsOf } from '@orthokin/core/footwork';
import { lengthWords } from '@orthokin/core/floor';
import { baseWidth, standingAfter, type Leg, type Pattern } from '@orthokin/core/pattern';
import { useDeferredValue, useEffect, useRef, type ReactElement } from 'react';
import { PHASE_COLOURS } from '../../parts/phases.js';
import { SHOE_M, Sole } from '../../parts/plan/Sole.js';
import { PathLine, StepNumbers } from '../../parts/plan/Step.js';
import { colour } from '../../parts/tokens.js';
import { usePlayer, usePlaying } from '../score/player-context.js';
import { useEditor } from '../state/editor.js';
import { useSelection } from '../state/selection.js';
import { useUnit } from '../state/unit.js';
import { StepHandle } from './StepHandle.js';
import { TurnHandle } from './TurnHandle.js';
import type { Surface } from './useFloorDrag.js';

/** The base width at the selected step, as a bracket between the feet. */
function BaseBracket({
  pattern,
  leg,
  step,
}: {
  pattern: Pattern;
  leg: Leg;
  step: number;
}): ReactElement {
  const { unit } = useUnit();
  const standing = standingAfter(pattern.stance, leg.placements.slice(0, step + 1));
  const { left, right } = standing;
  const width = baseWidth(standing);
  const words = `${lengthWords(width, unit)} · ${(width / pattern.laidFor.shoulderM).toFixed(1)} ×`;
  const room = words.length * 0.1 + 0.14;
  const middle = { x: (left.at.x + right.at.x) / 2, y: (left.at.y + right.at.y) / 2 };
  return (
    <g pointerEvents="none">
      <line
        x1={left.at.x}
        y1={-left.at.y}
        x2={right.at.x}
        y2={-right.at.y}
        stroke={colour('ink')}
        strokeWidth={0.02}
      />
      <g transform={`translate(${middle.x} ${-middle.y - 0.42})`}>
        <rect x={-room / 2} y={-0.15} width={room} height={0.28} rx={0.04} fill={colour('ink')} />
        <text textAnchor="middle" y={0.05} fontSize={0.16} fill={colour('paper')} className="mono">
          {words}
        </text>
      </g>
    </g>
  );
}

/** Two moving feet, updated frame by frame without rendering. */
function MovingFeet({ pattern, leg }: { pattern: Pattern; leg: Leg }): ReactElement {
  const player = usePlayer();
  const feet = { left: useRef<SVGGElement>(null), right: useRef<SVGGElement>(null) };
  useEffect(
    () =>
      player.watch((ms) => {
        const now = feetAt(pattern, leg, ms);
        for (const side of ['left', 'right'] as const) {
          const { at, headingDeg, lift } = now[side];
          const size = 1 + 0.18 * lift;
          feet[side].current?.setAttribute(
            'transform',
            `translate(${at.x} ${-at.y}) rotate(${headingDeg}) scale(${size})`,
          );
        }
      }),
    // oxlint-disable-next-line react/exhaustive-deps -- the two refs never change
    [player, pattern, leg],
  );
  return (
    <g pointerEvents="none">
      {(['left', 'right'] as const).map((side) => (
        <g key={side} ref={feet[side]}>
          <Sole foot={side} x={0} y={0} headingDeg={0} length={SHOE_M * 1.25} />
        </g>
      ))}
    </g>
  );
}

/** The open leg: its path and its feet. */
export function OpenLeg({ leg, surface }: { leg: Leg; surface: Surface }): ReactElement {
  const { pattern, edit } = useEditor();
  const { step, pick } = useSelection();
  const { playing } = usePlaying();
  const picked = step === null ? undefined : leg.placements[step];
  const { out, back } = pathsOf(pattern, leg);
  // Numbers may lag behind their feet by a frame; feet may not lag behind the finger.
  const calm = useDeferredValue(leg.placements);
  return (
    <>
      <PathLine path={out} ink={PHASE_COLOURS.travel} />
      <PathLine path={back} ink={PHASE_COLOURS.recovery} />
      <g opacity={playing ? 0.3 : 1}>
        {(['left', 'right'] as const).map((side) => (
          <g key={side} opacity={0.5} pointerEvents="none">
            <Sole
              foot={side}
              x={pattern.stance[side].at.x}
              y={-pattern.stance[side].at.y}
              headingDeg={pattern.stance[side].headingDeg}
              length={SHOE_M}
              ink={PHASE_COLOURS.stance}
            />
          </g>
        ))}
        {leg.placements.map((placement, index) => (
          <StepHandle
            key={index}
            {...{ index, placement, surface, edit, pick }}
            letter={leg.target}
            picked={index === step}
          />
        ))}
      </g>
      {!playing && <StepNumbers placements={calm} />}
      {step !== null && picked && !playing && (
        <>
          <BaseBracket pattern={pattern} leg={leg} step={step} />
          <TurnHandle letter={leg.target} index={step} placement={picked} {...{ surface, edit }} />
        </>
      )}
      {playing && <MovingFeet pattern={pattern} leg={leg} />}
    </>
  );
}
