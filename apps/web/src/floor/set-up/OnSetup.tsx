import { rungOf } from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import { useDrillSetup } from '../../api/squad.js';
import { Failed } from '../../parts/Notice.js';
import { Page, Quiet } from '../../parts/Text.js';
import { easedOf } from './eased-address.js';
import { onRungsFloor, withEased, type FloorSetup } from '../plan-drill.js';
import { say } from '../../words/floor.js';

/**
 * Shows what needs an athlete's set-up once it is there: on the pattern and the rung of the
 * address, where it names them, else on what the athlete is working on.
 */
export function OnSetup({
  athleteId,
  children,
}: {
  athleteId: string;
  /** `asked` is the set-up before its floor is put on the rung's scale. */
  children: (setup: FloorSetup, ownRung: number, asked: FloorSetup) => ReactElement;
}): ReactElement {
  const [params] = useSearchParams();
  const { data: own, error, refetch } = useDrillSetup(athleteId, params.get('pattern'));
  if (own) {
    const asked = Number(params.get('rung') ?? NaN);
    const chosen = rungOf(own.pattern, asked) ? { ...own, rung: asked } : own;
    const setup = withEased(chosen, easedOf(params));
    return children(onRungsFloor(setup), own.rung, setup);
  }
  return (
    <Page name={say('floor')}>
      {error ? (
        <Failed error={error} again={() => void refetch()} />
      ) : (
        <Quiet>{say('gettingFloorReady')}</Quiet>
      )}
    </Page>
  );
}
