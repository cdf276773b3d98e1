import type { PatternReply } from '@orthokin/contract';
import {
  comingTo,
  cornersOf,
  drawnFlight,
  takenAt,
  tightestBudget,
  wayTo,
  type OwnSpeed,
  type TargetBudget,
} from '@orthokin/core/budget';
import { distance, HOME, type Point } from '@orthokin/core/floor';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { FloorHandle } from '../../parts/plan/FloorHandle.js';
import { FloorPlan } from '../../parts/plan/FloorPlan.js';
import { viewOfTargets, type View } from '../../parts/plan/view.js';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { seconds } from '../../words/format.js';
import { say } from '../../words/ladder.js';
import { hasOwnPlaces, movedHome, withBounce, withoutOwnPlaces, withTaken } from './own-places.js';
import { Rings } from './Rings.js';
import { SideView } from './SideView.js';
import type { RallyPlan } from './usual-rally.js';

const Drawing = styled.div`
  .floor {
    max-width: 560px;
  }
  .floor svg {
    max-height: 560px;
  }
  .choices {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 10px 16px;
    margin-bottom: 12px;
  }
`;

const EDGE_M = 0.6;
const LEGEND_BELOW_M = 0.6;
const EVERY_S = 0.1;

/** A view enlarged to contain some places. */
function withPlaces({ x, y, width, height }: View, places: readonly Point[]): View {
  const xs = [x, x + width, ...places.flatMap((at) => [at.x - EDGE_M, at.x + EDGE_M])];
  const ys = [y, y + height, ...places.flatMap((at) => [-at.y - EDGE_M, -at.y + EDGE_M])];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return { x: left, y: top, width: Math.max(...xs) - left, height: Math.max(...ys) - top };
}

const placed = ({ x, y }: Point) => ({ x: x.toFixed(1), y: y.toFixed(1) });

/** Draws the budget: where the flight comes from, and how far the athlete gets meanwhile. */
export function ReachFloor({
  pattern,
  plan,
  budgets,
  own,
  name,
  best,
  onPlan,
}: {
  pattern: PatternReply;
  plan: RallyPlan;
  budgets: readonly TargetBudget[];
  own: OwnSpeed | null;
  name: string;
  /** The best home base; `null` if unknown. */
  best: Point | null;
  onPlan: (plan: RallyPlan) => void;
}): ReactElement {
  const [chosen, choose] = useState('');
  const target =
    pattern.targets.find(({ letter }) => letter === (chosen || tightestBudget(budgets)?.letter)) ??
    pattern.targets[0];
  const { opponent } = plan.coming;
  const waitsAt = plan.waitsAt ?? HOME;
  const farM = Math.max(...pattern.targets.map(({ at }) => distance(HOME, at)));
  const drawn = target && drawnFlight(target, plan, EVERY_S);
  const corners = target ? cornersOf(takenAt(plan, target), comingTo(plan, target.letter)) : [];
  const view = withPlaces(viewOfTargets(pattern), [
    ...[opponent, waitsAt, ...corners],
    ...budgets.flatMap(({ at }) => [at, { x: at.x, y: at.y - LEGEND_BELOW_M }]),
  ]);
  const arc = budgets.find(({ letter }) => letter === target?.letter)?.arc;
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
  const moveBounce = (to: Point) => {
    if (!target) return;
    const at = takenAt(plan, target);
    const { distanceM } = wayTo(at, comingTo(plan, target.letter));
    onPlan(withBounce(plan, target.letter, Math.min(distance(to, at), distanceM)));
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
              {own && <Rings own={own} from={waitsAt} farM={farM} />}
              <g pointerEvents="none">
                <polyline
                  points={corners.map(({ x, y }) => `${x},${-y}`).join(' ')}
                  fill="none"
                  stroke={colour('here')}
                  strokeWidth={0.05}
                />
                {drawn?.above.map(({ x, y }, i) => (
                  <circle key={i} cx={x} cy={-y} r={0.07} fill={colour('here')} />
                ))}
                {best && (
                  <circle
                    cx={best.x}
                    cy={-best.y}
                    r={pattern.home.radiusM}
                    fill="none"
                    stroke={colour('good')}
                    strokeWidth={0.07}
                    strokeDasharray="0.16 0.12"
                  />
                )}
              </g>
            </>
          }
        >
          {pattern.targets.map((each) => (
            <Taken
              key={each.letter}
              marker={each.at}
              at={takenAt(plan, each)}
              letter={each.letter}
              onMove={(to) => onPlan(withTaken(plan, each, to))}
            />
          ))}
          <FloorHandle
            at={waitsAt}
            label={say('waitsHandle', placed(waitsAt))}
            onMove={(to) => onPlan(movedHome(plan, to))}
          >
            <circle r={0.2} fill={colour('ink')} />
            <circle r={0.08} fill={colour('paper')} />
          </FloorHandle>
          {drawn?.bounceAt && (
            <FloorHandle at={drawn.bounceAt} label={say('bounceHandle', words)} onMove={moveBounce}>
              <path
                d="M-0.2 -0.05Q0 0.25 0.2 -0.05"
                fill="none"
                stroke={colour('ink')}
                strokeWidth={0.08}
              />
              <circle cy={-0.12} r={0.1} fill={colour('here')} />
            </FloorHandle>
          )}
          <FloorHandle
            at={opponent}
            label={say('opponentHandle', placed(opponent))}
            onMove={(to) => onPlan({ ...plan, coming: { ...plan.coming, opponent: to } })}
          >
            <circle r={0.3} fill={colour('paper')} stroke={colour('ink')} strokeWidth={0.06} />
            <path
              d="M-0.14 -0.14 0.14 0.14M0.14 -0.14 -0.14 0.14"
              stroke={colour('ink')}
              strokeWidth={0.06}
            />
          </FloorHandle>
        </FloorPlan>
      </div>
      <Quiet style={{ margin: '8px 0 12px', fontSize: 15, maxWidth: '76ch' }}>
        {say(own ? 'reachHow' : 'pathHow', words)}
      </Quiet>
      <div className="choices">
        <div style={{ width: 200 }}>
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
        {hasOwnPlaces(plan) && (
          <Button onPress={() => onPlan(withoutOwnPlaces(plan))}>{say('placesBack')}</Button>
        )}
      </div>
      {drawn?.side && arc && target && (
        <SideView side={drawn.side} letter={target.letter} highestM={arc.highestM} />
      )}
    </Drawing>
  );
}

/** The contact point of a target, moved away from the marker. */
const Taken = ({
  marker,
  at,
  letter,
  onMove,
}: {
  marker: Point;
  at: Point;
  letter: string;
  onMove: (to: Point) => void;
}): ReactElement => (
  <>
    {distance(marker, at) > 0 && (
      <line
        x1={marker.x}
        y1={-marker.y}
        x2={at.x}
        y2={-at.y}
        stroke={colour('ink')}
        strokeWidth={0.04}
        strokeDasharray="0.1 0.1"
        pointerEvents="none"
      />
    )}
    <FloorHandle at={at} label={say('takenHandle', { letter, ...placed(at) })} onMove={onMove}>
      {distance(marker, at) > 0 && (
        <rect
          x={-0.13}
          y={-0.13}
          width={0.26}
          height={0.26}
          fill={colour('paper')}
          stroke={colour('ink')}
          strokeWidth={0.06}
          transform="rotate(45)"
        />
      )}
    </FloorHandle>
  </>
);
