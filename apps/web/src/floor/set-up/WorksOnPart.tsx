import type { DrillSetupReply } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { useWorkOn } from '../../api/people.js';
import { Button } from '../../parts/Button.js';
import { Notice } from '../../parts/Notice.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/floor.js';

/**
 * Shown when something other than the athlete's own pattern is about to be run; that stays their pattern unless it is
 * changed here.
 */
export function WorksOnPart({
  setup: { athlete, pattern, worksOn },
}: {
  setup: Pick<DrillSetupReply, 'athlete' | 'pattern' | 'worksOn'>;
}): ReactElement | null {
  const change = useWorkOn();
  if (worksOn.id === pattern.id) return null;
  return (
    <div style={{ flex: '1 1 100%' }}>
      <Quiet>{say('worksOnOther', { name: athlete.name, pattern: worksOn.name })}</Quiet>
      <Button
        isDisabled={change.isPending}
        onPress={() => change.mutate({ athleteId: athlete.id, patternId: pattern.id })}
      >
        {say('workOnThis', { name: athlete.name, pattern: pattern.name })}
      </Button>
      {change.error && <Notice>{change.error.message}</Notice>}
    </div>
  );
}
