import { ROUTES } from '@orthokin/contract/routes';
import type { ReactElement, ReactNode } from 'react';
import { useGateways, useSaveGateways } from '../../api/gateways.js';
import { useMay } from '../../api/me.js';
import { Button } from '../../parts/Button.js';
import { Notice } from '../../parts/Notice.js';
import { Rows } from '../../parts/Rows.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/floor.js';
import { barrierTo, gatewayOf } from './gateway-address.js';

/** The gateways the club's pages may connect to, with a way to remove each. */
export function NamedGateways(): ReactElement | null {
  const named = useGateways().data?.addresses ?? [];
  const save = useSaveGateways();
  const mayLet = useMay(ROUTES.saveGateways);
  if (!mayLet || named.length === 0) return null;
  return (
    <div>
      <Quiet>{say('gatewaysOfClub')}</Quiet>
      {save.error && <Notice>{save.error.message}</Notice>}
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
  );
}

/**
 * Explains why this page may not connect to a gateway, and lets a coach allow it: pages connect only to gateways the
 * club has named. Renders its children if nothing prevents it.
 */
export function GatewayBarrier({
  address,
  children,
}: {
  address: string;
  children: ReactNode;
}): ReactNode {
  const gateways = useGateways();
  const save = useSaveGateways();
  const mayLet = useMay(ROUTES.saveGateways);
  const named = gateways.data?.addresses ?? [];
  const known = gateways.data ? [...named, ...gateways.data.always] : null;
  const gateway = gatewayOf(address) ?? '';
  switch (barrierTo(address, known)) {
    case 'no address':
      return <Notice>{say('notAGateway')}</Notice>;
    case 'secure page':
      return <Notice>{say('securePageNeedsWss')}</Notice>;
    case 'not let':
      if (!mayLet) return <Notice>{say('coachLetsConnect', { gateway })}</Notice>;
      return (
        <Notice
          action={
            <Button
              isDisabled={save.isPending}
              // The policy is fixed when a page is opened, so it has to be reloaded.
              onPress={() =>
                save.mutate([...named, gateway], { onSuccess: () => window.location.reload() })
              }
            >
              {say(save.isPending ? 'lettingConnect' : 'letConnect')}
            </Button>
          }
        >
          {save.error?.message ?? say('notLetConnect', { gateway })}
        </Notice>
      );
    case null:
      return children;
  }
}
