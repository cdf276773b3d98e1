import type { ReactElement, ReactNode } from 'react';
import { useDevices, useEndDevice } from '../../api/accounts.js';
import { Button } from '../../parts/Button.js';
import { Failed, Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { roleWords, say } from '../../words/account.js';
import { dayWords } from '../../words/format.js';
import { Rows } from '../../parts/Rows.js';

/**
 * Signed-in devices: all for an owner, their own for others. The children appear once the list is loaded, so that no
 * button moves away from under a finger.
 */
export function Devices({ children }: { children: ReactNode }): ReactElement {
  const devices = useDevices();
  const end = useEndDevice();
  return (
    <>
      <section style={{ marginTop: 34 }}>
        <Heading>{say('devices')}</Heading>
        <Quiet>{say('devicesMean')}</Quiet>
        {devices.error && <Failed error={devices.error} again={() => void devices.refetch()} />}
        {end.error && <Notice>{end.error.message}</Notice>}
        <Rows aria-label={say('devices')}>
          {(devices.data ?? []).map(({ id, name, role, device, since, isThis }) => (
            <li key={id}>
              <div>
                <strong>{name || roleWords(role)}</strong>
                <small>
                  {[
                    ...(name === '' ? [] : [roleWords(role)]),
                    ...[device, say('since', { since: dayWords(since) })],
                    ...(isThis ? [say('thisOne')] : []),
                  ].join(' · ')}
                </small>
              </div>
              {!isThis && (
                <Button
                  aria-label={say('endDevice', { device, name: name || roleWords(role) })}
                  isDisabled={end.isPending}
                  onPress={() => end.mutate(id)}
                >
                  {say('end')}
                </Button>
              )}
            </li>
          ))}
        </Rows>
      </section>
      {!devices.isPending && children}
    </>
  );
}
