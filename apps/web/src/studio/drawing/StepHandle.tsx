import { changeLeg, changePlacement, type Placement } from '@orthokin/core/pattern';
import { memo, type KeyboardEvent, type ReactElement } from 'react';
import { StepSole } from '../../parts/plan/Step.js';
import { colour } from '../../parts/tokens.js';
import type { Editor } from '../state/editor.js';
import type { Selection } from '../state/selection.js';
import { nudged } from '../../parts/plan/floor-place.js';
import { useFloorDrag, type Surface } from './useFloorDrag.js';
import { say } from '../../words/studio.js';
import { Handle, Ring } from './Handle.js';

const round = (metres: number): number => Math.round(metres * 100) / 100;

/**
 * A foot of the open leg, which can be dragged, nudged, turned and selected. Memoised and given plain props, so that
 * a drag rerenders one foot and not two hundred.
 */
export const StepHandle = memo(function StepHandle({
  letter,
  index,
  placement,
  surface,
  picked,
  edit,
  pick,
}: {
  letter: string;
  index: number;
  placement: Placement;
  surface: Surface;
  picked: boolean;
  edit: Editor['edit'];
  pick: Selection['pick'];
}): ReactElement {
  const { at, headingDeg, foot, phase } = placement;
  const change = (to: Partial<Placement>, gesture: string) =>
    edit((now) => changeLeg(now, letter, (leg) => changePlacement(leg, index, to)), gesture);
  const drag = useFloorDrag(surface, {
    at,
    fall: ({ x, y }) => ({ x: round(x), y: round(y) }),
    put: (to, gesture) => change({ at: to }, gesture),
    onTake: () => pick(index),
  });
  const press = (event: KeyboardEvent) => {
    const to = nudged(at, event.key, event.shiftKey);
    if (to) change({ at: to }, `nudge ${index}`);
    else if (event.key === '[' || event.key === ']')
      change({ headingDeg: headingDeg + (event.key === '[' ? -5 : 5) }, `turn ${index}`);
    else if (event.key === 'Enter' || event.key === ' ') pick(index);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <Handle
      role="button"
      tabIndex={0}
      aria-pressed={picked}
      aria-label={say('stepIndexFootFootPhase', { index: index + 1, foot, phase })}
      {...drag}
      onFocus={() => pick(index)}
      onKeyDown={press}
    >
      <Ring
        $picked={picked}
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
    </Handle>
  );
});
