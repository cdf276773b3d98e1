import type { Pattern } from '@orthokin/core/pattern';
import type { ComponentProps, ReactElement } from 'react';
import { FloorPlan } from '../../parts/plan/FloorPlan.js';
import { say } from '../../words/floor.js';
import { commaList } from '../../words/format.js';

/** The floor with the targets in play; others are faint. */
export const FloorInPlay = ({
  pattern,
  letters,
  legend,
}: {
  pattern: Pattern;
  letters: readonly string[];
  legend?: ComponentProps<typeof FloorPlan>['legend'];
}): ReactElement => (
  <FloorPlan
    pattern={pattern}
    inPlay={letters}
    legend={legend}
    label={say('floorHomeBaseTargetsLetters', { letters: commaList(letters) })}
  />
);
