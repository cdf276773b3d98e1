import type { ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/plan.js';

/** Who has come. If somebody leaves or joins, the plan changes from the next round on. */
export function WhoIsHere({
  here,
  planned,
  nameOf,
  onChange,
}: {
  here: readonly string[];
  planned: readonly string[];
  nameOf: (athleteId: string) => string;
  onChange: (here: readonly string[]) => void;
}): ReactElement {
  const away = planned.filter((id) => !here.includes(id));
  return (
    <>
      <div
        role="group"
        aria-label={say('somebodyLeft')}
        style={{ display: 'flex', flexWrap: 'wrap', gap: 8 }}
      >
        {[...here, ...away].map((id) => (
          <Button
            key={id}
            aria-pressed={here.includes(id)}
            weight={here.includes(id) ? 'main' : 'plain'}
            onPress={() =>
              onChange(here.includes(id) ? here.filter((one) => one !== id) : [...here, id])
            }
          >
            {say('isHere', { name: nameOf(id) })}
          </Button>
        ))}
      </div>
      <Quiet>{say('plannedAnew')}</Quiet>
    </>
  );
}
