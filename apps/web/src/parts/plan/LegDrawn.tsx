import { pathsOf } from '@orthokin/core/footwork';
import type { Leg, Pattern } from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import { PHASE_COLOURS } from '../phases.js';
import { PathLine, StepNumbers, StepSole } from './Step.js';

/** A leg on a drawn floor: the midpoint's path out and back, and all soles with their numbers. */
export function LegDrawn({ pattern, leg }: { pattern: Pattern; leg: Leg }): ReactElement {
  const paths = pathsOf(pattern, leg);
  return (
    <>
      <PathLine path={paths.out} ink={PHASE_COLOURS.travel} />
      <PathLine path={paths.back} ink={PHASE_COLOURS.recovery} />
      {leg.placements.map((placement, i) => (
        <StepSole key={i} placement={placement} />
      ))}
      <StepNumbers placements={leg.placements} />
    </>
  );
}
