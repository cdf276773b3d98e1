import { feetAt, pathsOf } from '@orthokin/core/footwork';
import { lengthWords, snapped, type Point, type Target } from '@orthokin/core/floor';
import {
  baseWidth,
  changeLeg,
  changePlacement,
  legOf,
  standingAfter,
  targetOf,
  withTarget,
  type Leg,
  type Pattern,
} from '@orthokin/core/pattern';
import { Maximize, Minus, Plus } from 'lucide-react';
import {
  memo,
  useEffect,
  useRef,
  useState,
  type KeyboardEvent,
  type ReactElement,
  type RefObject,
} from 'react';
import styled from 'styled-components';
import { IconButton } from '../parts/IconButton.js';
import { Court, HomeRing } from '../parts/plan/Court.js';
import { MARKER_M } from '../parts/plan/FloorPlan.js';
import { MarkerShapeAt } from '../parts/plan/Marker.js';
import { SHOE_M, Sole } from '../parts/plan/Sole.js';
import { PathLine, StepNumbers, StepSole } from '../parts/plan/Step.js';
import { viewBox, viewOfCourt, viewOfLeg, type View } from '../parts/plan/view.js';
import { PHASE_COLOURS } from '../parts/phases.js';
import { colour } from '../parts/tokens.js';
import { useEditor } from './editor.js';
import { targetWords } from './marker-words.js';
import { usePlayer, usePlaying } from './player-context.js';
import { useSelection } from './selection.js';
import { useUnit } from './unit.js';
import { nudged, useFloorDrag } from './useFloorDrag.js';
import { useZoom } from './useZoom.js';

const Frame = styled.div`
  position: relative;
  min-height: 0;
  height: 100%;
  > svg {
    display: block;
    width: 100%;
    height: 100%;
    touch-action: none;
    cursor: grab;
  }
  .taken {
    cursor: move;
    outline: none;
  }
  .taken:focus-visible .ring {
    visibility: visible;
  }
  .ring {
    visibility: hidden;
  }
  .ring.picked {
    visibility: visible;
  }
  .zoom {
    position: absolute;
    right: 8px;
    bottom: 8px;
    display: flex;
    border-radius: 20px;
    background: ${colour('raised')};
  }
`;

type Surface = RefObject<SVGGElement | null>;

const MARKER_SCALE_ON_LEG = 0.75;

/** A marker that can be dragged and nudged; on a leg it only shows where the way leads. */
function MarkerHandle({ target, surface }: { target: Target; surface: Surface }): ReactElement {
  const { pattern, edit } = useEditor();
  const { unit } = useUnit();
  const { letter, open } = useSelection();
  const [held, setHeld] = useState(false);
  const move = (at: Point, gesture: string) =>
    edit((now) => withTarget(now, { ...target, at }), gesture);
  const others = pattern.targets.filter((other) => other.letter !== target.letter);
  const drag = useFloorDrag(
    surface,
    target.at,
    (to, gesture, free) =>
      move(
        free
          ? to
          : snapped(
              to,
              others.map(({ at }) => at),
            ),
        gesture,
      ),
    () => setHeld(true),
  );
  const { x, y } = target.at;
  const onFloor = letter === null;
  const size = onFloor ? MARKER_M : MARKER_M * MARKER_SCALE_ON_LEG;
  const press = (event: KeyboardEvent) => {
    const to = nudged(target.at, event.key, event.shiftKey);
    if (to) {
      event.preventDefault();
      move(to, `nudge ${target.letter}`);
    } else if (event.key === 'Enter') open(target.letter);
  };
  return (
    <g
      className="taken"
      role="button"
      tabIndex={0}
      aria-label={`Marker ${targetWords(target, unit)}. Arrow keys move it, Enter opens its leg.`}
      opacity={letter !== null && letter !== target.letter ? 0.55 : 1}
      {...(onFloor ? drag : {})}
      onPointerUp={() => {
        drag.onPointerUp();
        setHeld(false);
      }}
      onDoubleClick={() => open(target.letter)}
      onKeyDown={press}
    >
      <circle
        className="ring"
        cx={x}
        cy={-y}
        r={size * 1.35}
        fill="none"
        stroke={colour('ink')}
        strokeWidth={0.04}
      />
      {held && (
        <line
          x1={0}
          y1={0}
          x2={x}
          y2={-y}
          stroke={colour('ink')}
          strokeWidth={0.025}
          strokeDasharray="0.1 0.08"
        />
      )}
      <MarkerShapeAt target={target} x={x} y={-y} size={size} />
      {onFloor && (
        <text
          x={x}
          y={-y + MARKER_M + 0.26}
          textAnchor="middle"
          fontSize={0.2}
          fill={colour('ink')}
          stroke={colour('floor')}
          strokeWidth={0.06}
          paintOrder="stroke"
          className="mono"
        >
          {lengthWords(Math.hypot(x, y), unit)}
        </text>
      )}
    </g>
  );
}

/** One foot of the open leg: dragged, nudged, turned by the wheel's keys, picked. */
const StepHandle = memo(function StepHandle({
  leg,
  index,
  surface,
  picked,
}: {
  leg: Leg;
  index: number;
  surface: Surface;
  picked: boolean;
}): ReactElement | null {
  const { edit } = useEditor();
  const { pick } = useSelection();
  const placement = leg.placements[index];
  const at = placement?.at ?? { x: 0, y: 0 };
  const change = (to: Partial<Leg['placements'][number]>, gesture: string) =>
    edit((now) => changeLeg(now, leg.target, (old) => changePlacement(old, index, to)), gesture);
  const drag = useFloorDrag(
    surface,
    at,
    (to, gesture) => change({ at: { x: round(to.x), y: round(to.y) } }, gesture),
    () => pick(index),
  );
  if (!placement) return null;
  const press = (event: KeyboardEvent) => {
    const to = nudged(at, event.key, event.shiftKey);
    if (to) change({ at: to }, `nudge ${index}`);
    else if (event.key === '[' || event.key === ']')
      change({ headingDeg: placement.headingDeg + (event.key === '[' ? -5 : 5) }, `turn ${index}`);
    else if (event.key === 'Enter' || event.key === ' ') pick(index);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <g
      className="taken"
      role="button"
      tabIndex={0}
      aria-pressed={picked}
      aria-label={`Step ${index + 1}, ${placement.foot} foot, ${placement.phase}`}
      {...drag}
      onFocus={() => pick(index)}
      onKeyDown={press}
    >
      <circle
        className={picked ? 'ring picked' : 'ring'}
        cx={at.x}
        cy={-at.y}
        r={0.22}
        fill={colour('raised')}
        fillOpacity={0.5}
        stroke={colour('ink')}
        strokeWidth={0.025}
      />
      <circle cx={at.x} cy={-at.y} r={0.17} fill="transparent" />
      <StepSole placement={placement} />
    </g>
  );
});

/** Floor enough to fill the frame, whatever its shape. */
const around = ({ x, y, width, height }: View): View => ({
  x: x - width,
  y: y - height,
  width: 3 * width,
  height: 3 * height,
});

const round = (metres: number): number => Math.round(metres * 100) / 100;

/** Between the picked foot and the other one as it stands then: how wide the base is. */
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

/** The two feet in motion, moved frame by frame without drawing the page anew. */
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
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the two refs never change
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
function OpenLeg({ leg, surface }: { leg: Leg; surface: Surface }): ReactElement {
  const { pattern } = useEditor();
  const { step } = useSelection();
  const { playing } = usePlaying();
  const { out, back } = pathsOf(pattern, leg);
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
        {leg.placements.map((_, index) => (
          <StepHandle
            key={index}
            leg={leg}
            index={index}
            surface={surface}
            picked={index === step}
          />
        ))}
      </g>
      {!playing && <StepNumbers placements={leg.placements} />}
      {step !== null && step < leg.placements.length && !playing && (
        <BaseBracket pattern={pattern} leg={leg} step={step} />
      )}
      {playing && <MovingFeet pattern={pattern} leg={leg} />}
    </>
  );
}

/** The drawn floor of the studio: markers to place, feet to place, ways to see. */
export function StudioFloor(): ReactElement {
  const { pattern } = useEditor();
  const { letter } = useSelection();
  const svg = useRef<SVGSVGElement>(null);
  const surface = useRef<SVGGElement>(null);
  const zoom = useZoom(svg);
  const leg = letter === null ? undefined : legOf(pattern, letter);
  const whole = viewOfCourt(pattern);
  const open = letter === null ? undefined : targetOf(pattern, letter);
  const view = open ? viewOfLeg(open.at) : whole;
  return (
    <Frame>
      <svg ref={svg} viewBox={viewBox(view)} aria-label="The floor" role="group" id="studio-floor">
        <g ref={surface} transform={zoom.transform.toString()}>
          <Court floor={pattern} view={around(whole)} />
          <HomeRing radiusM={pattern.home.radiusM} />
          {pattern.legs.map((each) =>
            each === leg ? null : (
              <PathLine
                key={each.target}
                path={pathsOf(pattern, each).out}
                ink={colour('floorLine')}
                faint
              />
            ),
          )}
          {pattern.targets.map((target) => (
            <MarkerHandle key={target.letter} target={target} surface={surface} />
          ))}
          {leg && <OpenLeg leg={leg} surface={surface} />}
        </g>
      </svg>
      <div className="zoom no-print">
        <IconButton aria-label="Closer" onPress={() => zoom.by(1.4)}>
          <Plus size={18} />
        </IconButton>
        <IconButton aria-label="Farther" onPress={() => zoom.by(1 / 1.4)}>
          <Minus size={18} />
        </IconButton>
        <IconButton aria-label="The whole view" onPress={zoom.fit}>
          <Maximize size={17} />
        </IconButton>
      </div>
    </Frame>
  );
}
