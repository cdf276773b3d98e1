import type { Foreseen } from '@orthokin/core/progress';
import type { DrillChoices } from '../plan-drill.js';

/** The choices, changed so that a foreseen problem does not arise. */
export function mended(choices: DrillChoices, foreseen: Foreseen): DrillChoices {
  switch (foreseen.kind) {
    case 'too few reps': {
      if ('reps' in foreseen.mend) return { ...choices, reps: foreseen.mend.reps };
      const { workMs } = foreseen.mend;
      return {
        ...choices,
        seconds: Math.round(workMs / 1000),
        conditions: { ...choices.conditions, workMs },
      };
    }
    case 'too close by hand':
      return { ...choices, source: 'sensor' };
    case 'cues give away':
      return { ...choices, asRung: true };
  }
}
