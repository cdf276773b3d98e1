import { rungOf } from '@orthokin/core/pattern';
import { sayThis } from '@orthokin/core/progress';
import { settingsOf } from '@orthokin/core/run';
import { readReps } from '@orthokin/core/timing';
import { useMemo, type ReactElement } from 'react';
import { useClub } from '../../api/club.js';
import type { Run } from '../../drill/plan.js';
import { SayThis } from '../../parts/SayThis.js';

/** What to say to the athlete about the finished set, from this device's record alone. */
export function SayThisOfRun({ run }: { run: Run }): ReactElement | null {
  const { faults } = useClub();
  const { plan, recorded } = run;
  const found = useMemo(() => {
    const rung = rungOf(plan.pattern, plan.rung);
    const readings = readReps(recorded, plan.cues, settingsOf(plan));
    return rung && sayThis(readings, rung, plan.conditions.watched);
  }, [plan, recorded]);
  if (!found || plan.source === 'none') return null;
  return <SayThis found={found} targets={plan.pattern.targets} faults={faults} />;
}
