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
 * Loads an athlete's set-up and renders what needs it: for the pattern and rung in the address, or else what the
 * athlete is working on.
 */
export function OnSetup({
  athleteId,
  children,
}: {
  athleteId: string;
  /** `asked` is the set-up before its floor is scaled for the rung. */
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
