import { ROUTES } from '@orthokin/contract/routes';
import type { ReactElement } from 'react';
import { useGateways, useSaveGateways } from '../../api/gateways.js';
import { useMay } from '../../api/me.js';
import { Button } from '../../parts/Button.js';
import { Notice } from '../../parts/Notice.js';
import { Rows } from '../../parts/Rows.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/floor.js';
import { barrierTo, gatewayOf } from './gateway-address.js';

/**
 * Says why this page cannot connect to a gateway on the network, and lets it: a page connects to
 * nothing that a coach of the club has not named.
 */
export function GatewayBarrier({ address }: { address: string }): ReactElement | null {
  const gateways = useGateways();
  const save = useSaveGateways();
  const mayLet = useMay(ROUTES.saveGateways);
  const named = gateways.data?.addresses ?? [];
  const known = gateways.data ? [...named, ...gateways.data.always] : null;
  const gateway = gatewayOf(address) ?? '';
  // What a page may connect to is settled when it is opened.
  const openAnew = { onSuccess: () => window.location.reload() };
  const barrier = barrierTo(address, known);
  return (
    <>
      {save.error && <Notice>{save.error.message}</Notice>}
      {barrier === 'no address' && <Notice>{say('notAGateway')}</Notice>}
      {barrier === 'secure page' && <Notice>{say('securePageNeedsWss')}</Notice>}
      {barrier === 'not let' && !mayLet && <Notice>{say('coachLetsConnect', { gateway })}</Notice>}
      {barrier === 'not let' && mayLet && (
        <Notice
          action={
            <Button
              isDisabled={save.isPending}
              onPress={() => save.mutate([...named, gateway], openAnew)}
            >
              {say(save.isPending ? 'lettingConnect' : 'letConnect')}
            </Button>
          }
        >
          {say('notLetConnect', { gateway })}
        </Notice>
      )}
      {mayLet && named.length > 0 && (
        <div>
          <Quiet>{say('gatewaysOfClub')}</Quiet>
          <Rows aria-label={say('gatewaysOfClub')}>
            {named.map((each) => (
              <li key={each}>
                <span>{each}</span>
                <Button
                  aria-label={say('takeOffGateway', { gateway: each })}
                  isDisabled={save.isPending}
                  onPress={() => save.mutate(named.filter((other) => other !== each))}
                >
                  {say('takeOff')}
                </Button>
              </li>
            ))}
          </Rows>
        </div>
      )}
    </>
  );
}
