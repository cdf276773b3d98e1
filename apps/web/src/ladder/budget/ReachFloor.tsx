import type { PatternReply } from '@orthokin/contract';
import {
  cornersOf,
  flightPlaces,
  reachRings,
  tightestBudget,
  type OwnSpeed,
  type TargetBudget,
} from '@orthokin/core/budget';
import { distance, HOME, type Point } from '@orthokin/core/floor';
import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactElement } from 'react';
import styled from 'styled-components';
import { SelectField } from '../../parts/form/SelectField.js';
import { FloorPlan } from '../../parts/plan/FloorPlan.js';
import { floorPoint, nudged } from '../../parts/plan/floor-place.js';
import { viewOfTargets, type View } from '../../parts/plan/view.js';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { useDrag } from '../../parts/useDrag.js';
import { seconds } from '../../words/format.js';
import { say } from '../../words/ladder.js';
import type { RallyPlan } from './usual-rally.js';

const Drawing = styled.div`
  .floor {
    max-width: 560px;
  }
  .floor svg {
    max-height: 560px;
  }
  .opponent {
    cursor: grab;
    touch-action: none;
  }
  .opponent:focus-visible circle {
    stroke: ${colour('focus')};
    stroke-width: 0.1;
  }
`;

/** The opponent is settled to ten centimetres, and nobody strikes from farther off, m. */
const STEPS_A_METRE = 10;
const FARTHEST_M = 40;
const EDGE_M = 0.6;
const EVERY_S = 0.1;

const settled = ({ x, y }: Point): Point => {
  const within = (metres: number) =>
    Math.round(Math.min(FARTHEST_M, Math.max(-FARTHEST_M, metres)) * STEPS_A_METRE) / STEPS_A_METRE;
  return { x: within(x), y: within(y) };
};

/** A view with some more places in it. */
function withPlaces({ x, y, width, height }: View, places: readonly Point[]): View {
  const xs = [x, x + width, ...places.flatMap((at) => [at.x - EDGE_M, at.x + EDGE_M])];
  const ys = [y, y + height, ...places.flatMap((at) => [-at.y - EDGE_M, -at.y + EDGE_M])];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return { x: left, y: top, width: Math.max(...xs) - left, height: Math.max(...ys) - top };
}

/** Where somebody can stop, at equal times after the opponent's contact. */
function Rings({ own, farM }: { own: OwnSpeed; farM: number }): ReactElement {
  return (
    <g fill="none" stroke={colour('ink')} strokeOpacity={0.55} pointerEvents="none">
      {reachRings(own, farM).map(({ atS, radiusM, isGuess }) => (
        <g key={atS}>
          <circle
            r={radiusM}
            strokeWidth={0.03}
            strokeDasharray={isGuess ? '0.12 0.14' : undefined}
          />
          <text
            x={0}
            y={-radiusM - 0.06}
            textAnchor="middle"
            fontSize={0.22}
            fill={colour('ink')}
            stroke="none"
            className="mono"
          >
            {say('ringAt', { s: atS.toFixed(2) })}
          </text>
        </g>
      ))}
    </g>
  );
}

/** The way to one target, with where it is each tenth of a second. */
function Path({ plan, at }: { plan: RallyPlan; at: Point }): ReactElement {
  return (
    <g pointerEvents="none">
      <polyline
        points={cornersOf(at, plan.coming)
          .map(({ x, y }) => `${x},${-y}`)
          .join(' ')}
        fill="none"
        stroke={colour('here')}
        strokeWidth={0.05}
      />
      {flightPlaces(at, plan, EVERY_S).map(({ x, y }, i) => (
        <circle key={i} cx={x} cy={-y} r={0.07} fill={colour('here')} />
      ))}
    </g>
  );
}

/** The opponent, dragged or moved by the arrow keys. */
function Opponent({ at, onMove }: { at: Point; onMove: (to: Point) => void }): ReactElement {
  const handle = useRef<SVGGElement>(null);
  const toFloor = (event: PointerEvent): Point | null => {
    const svg = handle.current?.ownerSVGElement;
    return svg ? floorPoint(svg, event) : null;
  };
  const drag = useDrag<Point>({
    take: (event) => {
      const pointer = toFloor(event);
      return pointer && { x: at.x - pointer.x, y: at.y - pointer.y };
    },
    move: (grip, event) => {
      const pointer = toFloor(event);
      if (pointer) onMove(settled({ x: pointer.x + grip.x, y: pointer.y + grip.y }));
    },
  });
  const key = (event: KeyboardEvent) => {
    const way = nudged({ x: 0, y: 0 }, event.key, false);
    if (!way) return;
    event.preventDefault();
    const step = (along: number) => Math.sign(along) / STEPS_A_METRE;
    onMove(settled({ x: at.x + step(way.x), y: at.y + step(way.y) }));
  };
  return (
    <g
      ref={handle}
      className="opponent"
      role="button"
      tabIndex={0}
      aria-label={say('opponentHandle', { x: at.x.toFixed(1), y: at.y.toFixed(1) })}
      transform={`translate(${at.x} ${-at.y})`}
      onKeyDown={key}
      {...drag}
    >
      <circle r={0.55} fill="transparent" />
      <circle r={0.3} fill={colour('paper')} stroke={colour('ink')} strokeWidth={0.06} />
      <path
        d="M-0.14 -0.14 0.14 0.14M0.14 -0.14 -0.14 0.14"
        stroke={colour('ink')}
        strokeWidth={0.06}
      />
    </g>
  );
}

/** How much time there is, drawn: where it comes from, and how far the athlete gets meanwhile. */
export function ReachFloor({
  pattern,
  plan,
  budgets,
  own,
  name,
  onOpponent,
}: {
  pattern: PatternReply;
  plan: RallyPlan;
  budgets: readonly TargetBudget[];
  own: OwnSpeed | null;
  name: string;
  onOpponent: (to: Point) => void;
}): ReactElement {
  const [chosen, choose] = useState('');
  const target =
    pattern.targets.find(({ letter }) => letter === (chosen || tightestBudget(budgets)?.letter)) ??
    pattern.targets[0];
  const { opponent, wallForwardM } = plan.coming;
  const farM = Math.max(...pattern.targets.map(({ at }) => distance(HOME, at)));
  const wall = target && wallForwardM !== null ? cornersOf(target.at, plan.coming).slice(1, 2) : [];
  const view = withPlaces(viewOfTargets(pattern), [opponent, ...wall]);
  const legend = (letter: string): string[] => {
    const budget = budgets.find((each) => each.letter === letter);
    if (!budget?.flight.ok) return [];
    const spare = budget.feasible?.spareMs;
    return [
      `${seconds(1000 * budget.flight.value.timeS)} s`,
      ...(spare === undefined
        ? []
        : [say(spare < 0 ? 'spareLacking' : 'spareLeft', { s: seconds(Math.abs(spare)) })]),
    ];
  };
  const words = { flies: plan.projectile.name, letter: target?.letter ?? '', name };
  return (
    <Drawing>
      <div className="floor">
        <FloorPlan
          pattern={pattern}
          view={view}
          isPressed
          label={say(own ? 'reachLabel' : 'reachPlain', { name })}
          legend={legend}
          under={
            <>
              {own && <Rings own={own} farM={farM} />}
              {target && <Path plan={plan} at={target.at} />}
            </>
          }
        >
          <Opponent at={opponent} onMove={onOpponent} />
        </FloorPlan>
      </div>
      <Quiet style={{ margin: '8px 0 12px', fontSize: 15, maxWidth: '76ch' }}>
        {say(own ? 'reachHow' : 'pathHow', words)}
      </Quiet>
      <div style={{ maxWidth: 200 }}>
        <SelectField
          label={say('pathTo')}
          value={target?.letter ?? ''}
          options={pattern.targets.map(({ letter, name: words2 }) => [
            letter,
            say('targetNamed', { letter, name: words2 }),
          ])}
          onChange={choose}
        />
      </div>
    </Drawing>
  );
}
